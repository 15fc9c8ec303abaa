<script lang="ts">
  import { ContentSwitcher, NumberInput, Switch } from 'carbon-components-svelte';
  import { WAYS, type Way } from './line-steps.svelte';
  import { texts } from './texts';

  interface Props {
    way: Way;
    /** Words a minute; undefined while no radio keys texts itself. */
    speed: number | undefined;
    /** What the radio sends now; empty when it sends no text. */
    sending: string;
    /** Why the last text was not sent to its end; empty when it was. */
    failure: string;
    onway: (way: Way) => void;
    onspeed: (wordsPerMinute: number) => void;
    onstop: () => void;
  }

  let { way, speed, sending, failure, onway, onspeed, onstop }: Props = $props();

  const NAMES: Record<Way, string> = {
    LOG: texts.logOnly,
    RUN: texts.run,
    SEARCH: texts.searchShort,
    PAPER: texts.fromPaper,
  };
</script>

<div class="sending">
  <div class="way" role="group" aria-label={texts.wayOfWorking}>
    <ContentSwitcher
      size="sm"
      selectedIndex={WAYS.indexOf(way)}
      on:change={(event) => onway(WAYS[event.detail] ?? 'LOG')}
    >
      {#each WAYS as one (one)}<Switch text={NAMES[one]} />{/each}
    </ContentSwitcher>
  </div>
  {#if speed !== undefined}
    <NumberInput
      size="sm"
      labelText={texts.wordsAMinute}
      hideLabel
      min={6}
      max={48}
      value={speed}
      on:change={(event) => event.detail !== null && onspeed(event.detail)}
    />
    <span class="muted">{texts.wordsAMinute}</span>
  {/if}
  {#if sending}
    <span class="now" role="status">{texts.sending} <strong class="mono">{sending}</strong></span>
    <button class="more" onclick={onstop}><kbd>Esc</kbd> {texts.stop}</button>
  {:else if failure}
    <span class="trouble" role="status">{failure}</span>
  {/if}
</div>

<style>
  .sending {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 16px;
    min-height: 32px;
  }

  .way {
    width: 460px;
  }

  .sending :global(.bx--form-item) {
    flex: none;
    width: 128px;
  }

  .now {
    color: var(--yb-accent);
  }
</style>
