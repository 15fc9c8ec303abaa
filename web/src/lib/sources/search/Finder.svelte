<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { Finding } from '../../platform/api/client';
  import { counted } from '../../platform/shared/format';
  import type { SearchStore } from './search.svelte';
  import { texts } from './texts';

  /** How a search goes, what it found, and the way to use it. */
  let {
    search,
    want,
    onuse,
    useWords = texts.useIt,
  }: {
    search: SearchStore;
    want: 'RADIO' | 'ROTATOR';
    onuse: (finding: Finding) => void;
    useWords?: string;
  } = $props();

  const view = $derived(search.view);
  const wanted = $derived(search.found(want));
  const others = $derived(view.findings.filter((f) => f.kind !== want));
</script>

<div class="finder" role="status">
  {#if view.running}
    <div class="progress">
      <progress max="1" value={search.progress} aria-label={texts.search}></progress>
      <Button size="small" kind="ghost" on:click={() => search.cancel()}>{texts.stop}</Button>
    </div>
    <p class="muted">{texts.tryingWhen(view.now ?? '…')}</p>
  {/if}
  <ul>
    {#each wanted as finding (finding.address)}
      <li>
        <span>{finding.sentence}</span>
        <Button size="small" kind="tertiary" on:click={() => onuse(finding)}>{useWords}</Button>
      </li>
    {/each}
  </ul>
  {#if !view.running && wanted.length === 0}
    <p>
      {view.ports === 0
        ? texts.thisComputerHasNoSerial
        : texts.noAnsweredWords(want === 'RADIO' ? 'radio' : 'rotator')}
    </p>
  {/if}
  {#if others.length > 0}
    <details open={!view.running && wanted.length === 0}>
      <summary>{counted(others.length, texts.otherPort)}</summary>
      {#each others as finding (finding.address)}
        <p>
          {finding.sentence}
          {#if finding.fix}<span class="muted">{finding.fix}</span>{/if}
        </p>
      {/each}
    </details>
  {/if}
  {#if search.problem}<p class="trouble" role="alert">{search.problem}</p>{/if}
</div>

<style>
  .finder {
    margin-top: 8px;
    padding: 8px 12px;
    border-left: 3px solid var(--yb-line-strong);
    background: var(--yb-raised);
  }

  .progress {
    display: flex;
    gap: 12px;
    align-items: center;
  }

  progress {
    flex: 1;
    height: 6px;
    accent-color: var(--yb-accent);
  }

  li {
    display: flex;
    gap: 12px;
    align-items: center;
    justify-content: space-between;
    padding: 4px 0;
  }

  li span {
    min-width: 0;
    overflow-wrap: anywhere;
  }

  details p {
    padding: 2px 0;
    overflow-wrap: anywhere;
  }

  summary {
    color: var(--yb-ink-2);
    cursor: pointer;
  }
</style>
