<script lang="ts">
  import { useStore } from '../platform/page/stores';
  import SealHeads from '../services/delivery/SealHeads.svelte';
  import type { LaneStore } from '../services/delivery/lanes.svelte';
  import type { Chosen } from './chosen.svelte';
  import type { Column } from './columns';
  import { LogStore } from './log.svelte';
  import { texts } from './texts';

  interface Props {
    columns: Column[];
    lanes: LaneStore['sealed'];
    chosen: Chosen;
    onsort: () => void;
  }

  let { columns, lanes, chosen, onsort }: Props = $props();

  const log = useStore(LogStore);

  function sort(field: string) {
    const same = log.sort.field === field;
    log.sortBy({ field, descending: same ? !log.sort.descending : field === 'START' });
    onsort();
  }

  function sorted(field: string): 'ascending' | 'descending' | undefined {
    return log.sort.field !== field ? undefined : log.sort.descending ? 'descending' : 'ascending';
  }
</script>

<div class="row head" role="row">
  <span role="columnheader">
    <input
      type="checkbox"
      aria-label={texts.chooseAllThatWereFound}
      checked={chosen.whole}
      indeterminate={chosen.size > 0 && !chosen.whole}
      onchange={() => (chosen.whole ? chosen.clear() : chosen.chooseAll(log.found))}
    />
  </span>
  {#each columns as c (c.field)}
    {@const by = c.sort ?? c.field}
    <span role="columnheader" aria-sort={sorted(by)} class:number={c.kind === 'number'}>
      <button onclick={() => sort(by)} title={texts.sortByLabel(c.label)}>
        {c.label}{#if sorted(by) && (by !== 'START' || c.field === 'QSO_DATE')}<i aria-hidden="true"
            >{log.sort.descending ? '↓' : '↑'}</i
          >{/if}
      </button>
    </span>
  {/each}
  {#if lanes.length > 0}
    <span role="columnheader"><SealHeads {lanes} word={lanes.length === 1} /></span>
  {/if}
</div>

<style>
  .row {
    display: grid;
    grid-template-columns: var(--columns);
    column-gap: 12px;
    align-items: center;
    padding: 0 16px;
  }

  .head {
    height: 28px;
    color: var(--yb-ink-2);
    font-size: 12px;
    border-bottom: 1px solid var(--yb-line);
    scrollbar-gutter: stable;
    overflow: hidden;
  }

  .head button {
    padding: 0;
    border: 0;
    background: none;
    color: inherit;
    font: inherit;
    white-space: nowrap;
    cursor: pointer;
  }

  .head button:hover {
    color: var(--yb-ink);
  }

  .head i {
    margin-left: 3px;
    font-style: normal;
    color: var(--yb-accent);
  }

  .number {
    text-align: right;
  }

  input[type='checkbox'] {
    accent-color: var(--yb-accent);
    margin: 0;
  }
</style>
