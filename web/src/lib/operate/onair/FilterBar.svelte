<script lang="ts">
  import Menu from '../../platform/shared/Menu.svelte';
  import { without } from './filter';
  import FilterForm from './FilterForm.svelte';
  import FilterViews from './FilterViews.svelte';
  import { OnAirStore } from './on-air.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const onAir = useStore(OnAirStore);

  const AGES = [5, 10, 20, 30, 60];

  const air = $derived(onAir.air);
  const filter = $derived(air.filter);
  const running = $derived(onAir.running());
</script>

<div class="filter" role="group" aria-label={texts.filter}>
  {#if onAir.contest}
    <button class="phrase" title={texts.rankByNeed} onclick={() => onAir.rankByContest(false)}
      >{texts.rankedFor(onAir.contest.name)} <span aria-hidden="true">×</span></button
    >
  {:else if running}
    <button class="phrase" onclick={() => onAir.rankByContest(true)}>{texts.rankFor(running.name)}</button>
  {/if}
  <span class="muted">{texts.shown}</span>
  <p class="sentence">
    {#each air.sentence as phrase, i (phrase.about)}
      {#if i > 0}<span class="muted" aria-hidden="true">·</span>{/if}
      {#if phrase.about === 'AGE'}
        <select
          aria-label={texts.heardInTheLastMinutes}
          value={String(filter.maxAgeMinutes ?? 30)}
          onchange={(e) => onAir.filterBy({ ...filter, maxAgeMinutes: Number(e.currentTarget.value) })}
        >
          {#each AGES as minutes (minutes)}<option value={String(minutes)}
              >{texts.lastMinMinutes(minutes)}</option
            >{/each}
        </select>
      {:else}
        <button
          class="phrase"
          title={texts.takeThisOut}
          onclick={() => onAir.filterBy(without(filter, phrase.about))}
          >{phrase.words} <span aria-hidden="true">×</span></button
        >
      {/if}
    {/each}
  </p>
  <Menu label={texts.addFilter}>
    <FilterForm />
  </Menu>
  <Menu label={texts.views}>
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
