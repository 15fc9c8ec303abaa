<script lang="ts">
  import type { ContestCall } from '../../../platform/api/client';
  import { shortWorth, worthMark } from '../worth/worth';
  import { texts } from './texts';
  import type { Word } from './words';

  interface Props {
    lines: Word[][];
    callOf: (word: string) => ContestCall | undefined;
    ontake: (word: string) => void;
  }

  let { lines, callOf, ontake }: Props = $props();

  const mark = (call?: ContestCall) => (call?.worth ? worthMark(call.worth) : '');
</script>

<div class="lines mono" role="log" aria-label={texts.agreedText}>
  {#each lines as line, l (l)}
    <div>
      {#each line as word, w (w)}
        {@const call = callOf(word.text)}
        <button
          tabindex="-1"
          class:call
          class:dupe={call?.worth?.dupe}
          class:fresh={(call?.worth?.multipliers.length ?? 0) > 0}
          title={call?.worth ? shortWorth(call.worth) : texts.takeIntoTheLine}
          aria-label={`${word.text} ${mark(call)}`.trim()}
          onclick={() => ontake(word.text)}
          >{#each word.letters as letter, i (i)}<span class:doubtful={letter.doubtful}>{letter.text}</span
            >{/each}{#if mark(call)}<small>{mark(call)}</small>{/if}</button
        >
      {/each}
    </div>
  {/each}
</div>

<style>
  /* A long line must not push the contest line out of sight; its end is what counts. */
  .lines {
    display: flex;
    flex-direction: column;
    justify-content: flex-end;
    min-height: 44px;
    max-height: 78px;
    overflow: hidden;
    font-size: 14px;
    line-height: 22px;
  }

  .lines > div {
    display: flex;
    flex-wrap: wrap;
    gap: 0 6px;
  }

  button {
    padding: 0 2px;
    border: 0;
    background: none;
    color: inherit;
    font: inherit;
    cursor: pointer;
  }

  button:hover {
    background: var(--yb-raised);
  }

  .call {
    margin: 0 2px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 2px;
  }

  .fresh {
    border-color: var(--yb-accent);
    box-shadow: inset 3px 0 0 var(--yb-accent);
    padding-left: 6px;
    font-weight: 600;
  }

  .dupe > span {
    text-decoration: line-through;
  }

  small {
    margin-left: 6px;
    font-family: var(--yb-sans, inherit);
    font-size: 12px;
    font-weight: 400;
  }

  .doubtful {
    color: var(--yb-muted);
    text-decoration: underline dotted;
    text-underline-offset: 3px;
  }
</style>
