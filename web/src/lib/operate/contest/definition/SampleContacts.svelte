<script lang="ts">
  import { useStore } from '../../../platform/page/stores';
  import { grouped } from '../../../platform/shared/format';
  import { DefinitionStore } from './definitions.svelte';
  import { texts } from './texts';

  /** Tries the definition out: contacts are typed, and each says what it brings. */
  const store = useStore(DefinitionStore);
  const tryout = $derived(store.samples.trim() === '' ? undefined : store.tryout.value);
</script>

<h2>{texts.tryItOut}</h2>
<textarea
  class="mono"
  value={store.samples}
  oninput={(event) => store.sample(event.currentTarget.value)}
  rows={Math.max(store.samples.split('\n').length, 3)}
  aria-label={texts.sampleContacts}
  placeholder={texts.sampleLine}
  wrap="off"
  spellcheck="false"
  autocapitalize="off"></textarea>
{#if store.tryout.problem}
  <p class="trouble" role="alert">{store.tryout.problem}</p>
{:else if tryout}
  <ol>
    {#each tryout.lines as line, i (i)}
      <li class:lost={!line.counts}><span class="mono">{line.text}</span> {line.says}</li>
    {/each}
  </ol>
  <p role="status" aria-label={texts.score}>
    {texts.score} <strong class="mono">{grouped(tryout.score)}</strong>
  </p>
{/if}

<style>
  h2 {
    margin-top: 16px;
  }

  textarea {
    width: 100%;
    margin: 8px 0;
    padding: 8px;
    border: 0;
    border-bottom: 1px solid var(--yb-line-strong);
    background: var(--yb-panel);
    color: var(--yb-ink);
    font-size: 14px;
    line-height: 20px;
    white-space: pre;
    overflow-x: auto;
    resize: none;
  }

  li {
    margin-top: 4px;
  }

  li span {
    margin-right: 12px;
  }

  .lost {
    color: var(--yb-ink-2);
  }
</style>
