<script lang="ts">
  import Menu from '../../platform/shared/Menu.svelte';
  import { without } from './filter';
  import FilterForm from './FilterForm.svelte';
  import FilterViews from './FilterViews.svelte';
  import { OnAirStore } from './on-air.svelte';
  import { useStore } from '../../platform/page/stores';

  const onAir = useStore(OnAirStore);

  const AGES = [5, 10, 20, 30, 60];

  const air = $derived(onAir.air);
  const filter = $derived(air.filter);
</script>

<div class="filter" role="group" aria-label="Filter">
  <span class="muted">Shown:</span>
  <p class="sentence">
    {#each air.sentence as phrase, i (phrase.about)}
      {#if i > 0}<span class="muted" aria-hidden="true">·</span>{/if}
      {#if phrase.about === 'AGE'}
        <select
          aria-label="Heard in the last minutes"
          value={String(filter.maxAgeMinutes ?? 30)}
          onchange={(e) => onAir.filterBy({ ...filter, maxAgeMinutes: Number(e.currentTarget.value) })}
        >
          {#each AGES as minutes (minutes)}<option value={String(minutes)}>last {minutes} min</option>{/each}
        </select>
      {:else}
        <button
          class="phrase"
          title="Take this out"
          onclick={() => onAir.filterBy(without(filter, phrase.about))}
          >{phrase.words} <span aria-hidden="true">×</span></button
        >
      {/if}
    {/each}
  </p>
  <Menu label="Add filter">
    <FilterForm />
  </Menu>
  <Menu label="Views">
    <FilterViews />
  </Menu>
</div>

<style>
  .filter {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
    min-height: 32px;
  }

  .sentence {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 6px;
  }

  .phrase,
  select {
    height: 26px;
    padding: 0 8px;
    border: 1px solid var(--yb-line);
    border-radius: 13px;
    background: var(--yb-raised);
    color: var(--yb-ink);
    font: inherit;
    font-size: 13px;
    cursor: pointer;
  }
</style>
