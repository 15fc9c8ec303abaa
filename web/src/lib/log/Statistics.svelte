<script lang="ts">
  import { untrack } from 'svelte';
  import { api, got, type LogStatistics } from '../platform/api/client';
  import { counted, grouped } from '../platform/shared/format';
  import { LatestAnswer } from '../platform/shared/latest-answer.svelte';
  import SquareMap from './SquareMap.svelte';
  import { toggled } from './search-text';
  import { LogStore } from './log.svelte';
  import { useStore } from '../platform/page/stores';
  import { texts } from './texts';

  let {
    typed,
    onsearch,
  }: {
    /** The content of the search box, though it may not be searched for yet. */
    typed: string;
    onsearch: (text: string) => void;
  } = $props();
  const log = useStore(LogStore);

  const SHOWN = 12;
  const answer = new LatestAnswer<LogStatistics>();
  const figures = $derived(answer.value);
  const problem = $derived(answer.problem);

  $effect(() => {
    void log.edition;
    const search = untrack(() => log.search);
    untrack(() => answer.read(() => got(api.GET('/api/log/statistics', { params: { query: { search } } }))));
  });

  function widest(values: { contacts: number }[]): number {
    return Math.max(1, ...values.map((v) => v.contacts));
  }

  const hours = $derived(
    (figures?.byHour ?? []).map((contacts, hour) => ({ value: String(hour).padStart(2, '0'), contacts })),
  );
  const months = $derived(figures?.byMonth ?? []);
</script>

{#snippet bars(title: string, name: string, values: { value: string; contacts: number }[])}
  {@const most = widest(values)}
  <section>
    <h2>{title}</h2>
    <ul>
      {#each values.slice(0, SHOWN) as { value, contacts } (value)}
        <li>
          <button onclick={() => onsearch(toggled(typed, name, value))} title={texts.onlyValue(value)}>
            <span class="value">{value}</span>
            <span class="bar"><i style:width={`${(100 * contacts) / most}%`}></i></span>
            <span class="mono">{grouped(contacts)}</span>
          </button>
        </li>
      {/each}
    </ul>
    {#if values.length > SHOWN}<p class="muted">
        {texts.andOthers(counted(values.length - SHOWN, 'other'))}
      </p>{/if}
  </section>
{/snippet}

{#snippet columns(
  title: string,
  values: { value: string; contacts: number }[],
  label: (value: string, i: number) => string,
)}
  {@const most = widest(values)}
  <section class="wide">
    <h2>{title}</h2>
    <div class="columns" role="img" aria-label={texts.mostTitle(title, grouped(most))}>
      {#each values as { value, contacts }, i (value)}
        <div class="column" title={`${value}: ${counted(contacts, 'contact')}`}>
          <i style:height={`${(100 * contacts) / most}%`}></i>
          <span>{label(value, i)}</span>
        </div>
      {/each}
    </div>
  </section>
{/snippet}

<div class="figures">
  {#if problem}
    <p class="trouble" role="alert">{problem}</p>
  {:else if figures && figures.found === 0}
    <p class="muted">
      {texts.nothingToCount}
      <button class="more" onclick={() => onsearch('')}>{texts.takeTheWholeLog}</button>
    </p>
  {:else if figures}
    <p class="head">
      {texts.withEntitiesAndSquares(
        counted(figures.found, 'contact'),
        grouped(figures.entities.length),
        grouped(figures.squares.length),
        log.search ? texts.asSearchedAbove : '',
      )}
    </p>
    <div class="grid">
      {@render bars('Bands', 'band', figures.bands)}
      {@render bars('Modes', 'mode', figures.modes)}
      {@render bars('Entities', 'entity', figures.entities)}
      {@render columns(texts.hourOfTheDayUtc, hours, (value) => value)}
      {@render columns(texts.monthByMonth, months, (value, i) =>
        value.endsWith('-01') && (months.length < 60 || Number(value.slice(0, 4)) % 5 === 0)
          ? value.slice(0, 4)
          : i === 0
            ? value.slice(0, 4)
            : '',
      )}
      <section class="wide">
        <h2>{texts.squaresWorked}</h2>
        <SquareMap squares={figures.squares} />
      </section>
    </div>
  {:else}
    <p class="muted">{texts.counting}</p>
  {/if}
</div>

<style>
  .figures {
    flex: 1;
    overflow-y: auto;
    padding: 8px 24px 32px;
    scrollbar-color: var(--yb-line-strong) transparent;
  }

  .head {
    margin-bottom: 16px;
    color: var(--yb-ink-2);
  }

  .grid {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 24px 32px;
    max-width: 1400px;
  }

  .wide {
    grid-column: 1 / -1;
  }

  ul {
    margin: 4px 0 0;
    padding: 0;
    list-style: none;
  }

  li button {
    display: grid;
    grid-template-columns: minmax(64px, 128px) 1fr 64px;
    gap: 8px;
    align-items: center;
    width: 100%;
    height: 24px;
    padding: 0;
    border: 0;
    background: none;
    color: var(--yb-ink);
    font: inherit;
    font-size: 13px;
    text-align: left;
    cursor: pointer;
  }

  li button:hover {
    background: var(--yb-hover);
  }

  .value {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .bar {
    height: 10px;
  }

  .bar i {
    display: block;
    height: 100%;
    min-width: 1px;
    background: var(--yb-line-strong);
  }

  .mono {
    text-align: right;
  }

  .columns {
    display: flex;
    align-items: stretch;
    gap: 1px;
    height: 112px;
    margin-top: 8px;
  }

  .column {
    display: flex;
    flex: 1;
    flex-direction: column;
    justify-content: flex-end;
    min-width: 0;
    max-width: 56px;
  }

  .column:hover i {
    background: var(--yb-accent);
  }

  .column i {
    background: var(--yb-line-strong);
  }

  .column span {
    height: 18px;
    overflow: visible;
    color: var(--yb-ink-2);
    font-size: 11px;
    white-space: nowrap;
  }

  @container (max-width: 900px) {
    .grid {
      grid-template-columns: 1fr 1fr;
    }
  }
</style>
