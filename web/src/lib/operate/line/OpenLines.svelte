<script lang="ts">
  import type { LineStore, OpenLine } from './line.svelte';
  import { texts } from './texts';

  let { line, corrected }: { line: LineStore; corrected: () => void } = $props();

  /** The first question can be answered from the keyboard while the line has the cursor. */
  const question = $derived(line.open.find((open) => open.sameAs !== undefined));

  function onkeydown(event: KeyboardEvent) {
    const answer = event.altKey && question ? { y: true, n: false }[event.key.toLowerCase()] : undefined;
    if (answer !== undefined && question) {
      event.preventDefault();
      void line.answer(question, answer);
    }
  }

  function correct(open: OpenLine) {
    line.correct(open);
    corrected();
  }
</script>

<svelte:window {onkeydown} />

{#if line.open.length > 0}
  <ul class="open" aria-label={texts.linesThatAreNotLogged}>
    {#each line.open as open (open.key)}
      <li class:asked={open.sameAs !== undefined}>
        <span class="mono text" title={open.text}>{open.text}</span>
        <span class="sentence">{open.sentence}</span>
        {#if open.sameAs !== undefined}
          <button onclick={() => void line.answer(open, true)}
            >{texts.sameContact}{#if open === question}<kbd>Alt</kbd>+<kbd>Y</kbd>{/if}</button
          >
          <button onclick={() => void line.answer(open, false)}
            >{texts.anotherContact}{#if open === question}<kbd>Alt</kbd>+<kbd>N</kbd>{/if}</button
          >
        {/if}
        <button onclick={() => correct(open)}>{texts.edit}</button>
        <button onclick={() => line.dismiss(open)}>{texts.dismiss}</button>
      </li>
    {/each}
  </ul>
{/if}

<style>
  .open {
    display: flex;
    flex-direction: column;
    gap: 4px;
    max-height: 132px;
    margin: 0 0 8px;
    padding: 0;
    overflow-y: auto;
    list-style: none;
  }

  li {
    display: flex;
    align-items: center;
    gap: 12px;
    min-height: 28px;
    padding: 0 0 0 10px;
    border-left: 3px solid var(--yb-trouble);
    background: var(--yb-raised);
    font-size: 13px;
  }

  .asked {
    border-left-color: var(--yb-accent);
  }

  .text {
    flex: 0 100 auto;
    min-width: 16ch;
    overflow: hidden;
    font-weight: 600;
    text-overflow: ellipsis;
    text-transform: uppercase;
    white-space: nowrap;
  }

  .sentence {
    flex: 1 1 auto;
  }

  button {
    display: inline-flex;
    flex: none;
    align-items: center;
    gap: 2px;
    min-height: 28px;
    padding: 0 10px;
    border: 0;
    background: none;
    color: var(--yb-accent);
    font: inherit;
    cursor: pointer;
  }

  button:hover {
    text-decoration: underline;
  }

  kbd {
    margin-left: 4px;
    color: var(--yb-ink-2);
    font-family: var(--yb-mono);
    font-size: 11px;
  }
</style>
