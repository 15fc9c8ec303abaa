<script lang="ts">
  import { Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { onMount } from 'svelte';
  import type { ContestBook } from '../../platform/api/client';
  import { useStore } from '../../platform/page/stores';
  import RefusedLines from '../../platform/shared/RefusedLines.svelte';
  import { counted, kiloHertz } from '../../platform/shared/format';
  import { OpenBookStore } from './book.svelte';
  import { texts } from './texts';
  import { worthWords } from './worth';

  let { book }: { book: ContestBook } = $props();

  const store = useStore(OpenBookStore);
  const MODES = ['', 'CW', 'SSB', 'FM', 'RTTY', 'FT8'];
  const modes = $derived(MODES.includes(store.mode) ? MODES : [...MODES, store.mode]);
  let input = $state<HTMLInputElement | null>(null);

  onMount(() => input?.focus());

  const view = $derived(store.view);
  const problems = $derived(store.problem ? [store.problem] : (view?.problems ?? []));

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'Enter') {
      void store.enter();
    } else if (event.key === 'Escape' && store.text !== '') {
      store.type('');
    } else {
      return;
    }
    event.preventDefault();
    event.stopPropagation();
  }
</script>

<div class="line">
  <RefusedLines lines={store.lines} />
  <div class="where">
    {#if view?.fromRadio}
      <span><span class="mono">{kiloHertz(view.frequencyHz)}</span> kHz {view.mode ?? ''}</span>
    {:else}
      <TextInput
        size="sm"
        labelText={texts.frequency}
        placeholder="14025"
        value={store.frequency}
        on:input={(event) => store.tune(String(event.detail ?? ''), store.mode)}
      />
      <Select
        size="sm"
        labelText={texts.mode}
        selected={store.mode}
        on:update={(event) => store.tune(store.frequency, String(event.detail))}
      >
        {#each modes as mode (mode)}<SelectItem value={mode} text={mode} />{/each}
      </Select>
      {#if view && !view.band}<span class="muted">{texts.noRadio}</span>{/if}
    {/if}
    {#if view}<span>{texts.youSend} <strong class="mono">{view.send}</strong></span>{/if}
  </div>
  <input
    bind:this={input}
    class="mono entry-input"
    value={store.text}
    oninput={(event) => store.type(event.currentTarget.value)}
    {onkeydown}
    aria-label={texts.contestLine}
    aria-describedby="contest-line-says"
    placeholder={texts.aCallAndTheExchange(book.exchange.join('   '))}
    autocomplete="off"
    autocapitalize="off"
    spellcheck="false"
  />
  <p id="contest-line-says" role="status">
    {#if store.lines.waiting.length > 0 && store.problem}
      <span class="trouble"
        >{texts.willBeSent(store.problem, counted(store.lines.waiting.length, 'line'))}</span
      >
    {:else if problems.length > 0}
      <span class="trouble">{problems.join(' ')}</span>
    {:else if store.text === ''}
      <span class="muted">{store.notice}</span>
    {:else if store.tunes}
      <span class="muted">{texts.enterTunes}</span>
    {:else if view?.call}
      <span class="mono">{view.call}</span>
      <span>{view.country}</span>
      {#if view.worth?.dupe}<strong class="trouble">{texts.dupe}</strong>
      {:else if view.worth && !view.worth.counts}<span class="trouble"
          >{texts.doesNotCount(view.worth.reason)}</span
        >
      {:else if view.worth}<strong>{worthWords(view.worth).join(' · ')}</strong>{/if}
      <span class="muted"
        >{view.missing.length > 0 ? texts.stillMissing(view.missing.join(', ')) : texts.enterLogs}</span
      >
    {/if}
  </p>
</div>

<style>
  .where {
    display: flex;
    flex-wrap: wrap;
    align-items: flex-end;
    gap: 8px 24px;
    min-height: 28px;
  }

  .where :global(.bx--form-item) {
    flex: none;
    width: 140px;
  }

  p {
    display: flex;
    flex-wrap: wrap;
    gap: 0 16px;
    min-height: 28px;
    padding-top: 4px;
  }
</style>
