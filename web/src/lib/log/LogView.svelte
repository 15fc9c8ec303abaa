<script lang="ts">
  import { tick, untrack } from 'svelte';
  import { Search } from 'carbon-components-svelte';
  import { ArrowUp, ChartBar, Filter, Undo } from 'carbon-icons-svelte';
  import { counted, grouped } from '../platform/shared/format';
  import BulkBar from './BulkBar.svelte';
  import Facets from './Facets.svelte';
  import Loading from './Loading.svelte';
  import LogEmpty from './LogEmpty.svelte';
  import LogMenus from './LogMenus.svelte';
  import LogTable from './LogTable.svelte';
  import Statistics from './Statistics.svelte';
  import { Chosen } from './chosen.svelte';
  import { LogDisplay } from './log-display.svelte';
  import { Navigation } from '../platform/page/navigation.svelte';
  import { LogStore } from './log.svelte';
  import { useStore } from '../platform/page/stores';
  import { texts } from './texts';

  const display = useStore(LogDisplay);
  const navigation = useStore(Navigation);
  const log = useStore(LogStore);
  $effect(() => untrack(() => log.watch()));

  const SEARCH_AFTER_MS = 120;
  const chosen = new Chosen();

  // What is typed stands until a search from elsewhere replaces it.
  let text = $derived(log.search);
  let timer: ReturnType<typeof setTimeout> | undefined;
  let searchBox = $state<HTMLInputElement | null>(null);
  let table = $state<LogTable | null>(null);
  let bulk = $state<BulkBar | null>(null);
  let filtering = $state(true);
  const counting = $derived(navigation.page === 'statistics');

  function showNew() {
    log.reload();
    table?.toTop();
  }

  function search(wanted: string, after = SEARCH_AFTER_MS) {
    clearTimeout(timer);
    timer = setTimeout(() => {
      chosen.clear();
      table?.toTop();
      log.find(wanted);
    }, after);
  }

  $effect(() => {
    if (display.searchAsked && searchBox) {
      display.searchAsked = false;
      searchBox.focus();
    }
  });

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'Escape' && event.target === searchBox && searchBox) {
      searchBox.blur();
    } else if (event.key === 'ArrowDown' && event.target === searchBox) {
      event.preventDefault();
      table?.focus();
    }
  }
</script>

<svelte:window {onkeydown} />

<section class="log" aria-label={texts.log}>
  <div class="bar">
    <h1>{texts.log}</h1>
    <div class="search">
      <Search
        size="sm"
        labelText={texts.searchTheLog}
        placeholder={texts.wordsBand20mDate2024}
        bind:value={text}
        bind:ref={searchBox}
        oninput={() => search(text)}
        on:clear={() => search('', 0)}
      />
    </div>
    <span class="muted count" role="status">
      {#if log.loading && log.found === 0}
        {texts.reading}
      {:else if log.search}
        {texts.ofFound(grouped(log.found), counted(log.total, 'contact'))}
      {:else}
        {counted(log.total, 'contact')}
      {/if}
    </span>
    {#if log.waiting > 0}
      <button class="new" onclick={showNew}><ArrowUp size={16} /> {texts.newWaiting(log.waiting)}</button>
    {/if}
    <div class="tools">
      {#if !counting}
        <button
          class="tool counts"
          aria-pressed={filtering}
          title={texts.countsByBandModeYear}
          onclick={() => (filtering = !filtering)}
        >
          <Filter size={16} /> <span>{texts.counts}</span>
        </button>
      {/if}
      <a
        class="tool"
        href={navigation.address('log', counting ? '' : 'statistics')}
        aria-current={counting ? 'page' : undefined}
      >
        <ChartBar size={16} /> <span>{texts.statistics}</span>
      </a>
      <button class="tool" onclick={() => navigation.open({ of: 'changes' })} title={texts.changesHint}>
        <Undo size={16} /> <span>{texts.changes}</span>
      </button>
      <LogMenus onsearch={(wanted) => search(wanted, 0)} />
    </div>
  </div>
  {#each log.notUnderstood as sentence (sentence)}
    <p class="note trouble" role="alert">{sentence}</p>
  {/each}
  {#if chosen.size > 0}<BulkBar {chosen} bind:this={bulk} onback={() => table?.focus()} />{/if}
  <div class="work">
    {#if filtering && !counting}<Facets typed={text} onsearch={(wanted) => search(wanted, 0)} />{/if}
    {#if log.problem}
      <p class="state trouble" role="alert">{log.problem}</p>
    {:else if counting}
      <Statistics typed={text} onsearch={(wanted) => search(wanted, 0)} />
    {:else if log.loading && log.found === 0}
      <Loading />
    {:else if log.found === 0}
      <LogEmpty search={log.search} onsearch={(wanted) => search(wanted, 0)} />
    {:else}
      <LogTable {chosen} bind:this={table} onactions={() => void tick().then(() => bulk?.focus())} />
    {/if}
  </div>
</section>

<style>
  .log {
    display: flex;
    flex-direction: column;
    height: 100%;
  }

  .bar {
    display: flex;
    align-items: center;
    gap: 16px;
    padding: 10px 24px;
  }

  h1 {
    font-size: 20px;
    font-weight: 600;
    line-height: 32px;
  }

  .search {
    flex: 1 1 280px;
    max-width: 460px;
  }

  .count {
    white-space: nowrap;
  }

  .work {
    display: flex;
    flex: 1;
    min-height: 0;
  }

  .tools {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px;
    margin-left: auto;
  }

  .tool {
    display: flex;
    align-items: center;
    gap: 6px;
    height: 32px;
    padding: 0 10px;
    border: 0;
    border-radius: 2px;
    background: none;
    color: var(--yb-ink-2);
    font: inherit;
    text-decoration: none;
    cursor: pointer;
  }

  .tool:hover {
    background: var(--yb-hover);
  }

  .tool[aria-pressed='true'],
  .tool[aria-current] {
    color: var(--yb-ink);
    box-shadow: inset 0 -2px 0 var(--yb-accent);
  }

  .new {
    display: flex;
    align-items: center;
    gap: 6px;
    padding: 3px 14px;
    border: 0;
    border-radius: 14px;
    background: var(--yb-accent);
    color: var(--yb-on-accent);
    font: inherit;
    font-weight: 600;
    white-space: nowrap;
    cursor: pointer;
  }

  .note {
    padding: 0 24px 8px;
  }

  /* Beside a drawer, or on a tablet, the rows come first. */
  @container (max-width: 1000px) {
    .bar {
      flex-wrap: wrap;
      gap: 4px 12px;
    }

    .search {
      flex-basis: 200px;
    }

    .counts,
    .work > :global(.facets) {
      display: none;
    }
  }

  .state {
    padding: 32px 24px;
    max-width: 640px;
  }
</style>
