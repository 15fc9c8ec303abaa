<script lang="ts">
  import Pages from '../../platform/shared/Pages.svelte';
  import AirMap from './AirMap.svelte';
  import AlertsPage from './AlertsPage.svelte';
  import FilterBar from './FilterBar.svelte';
  import GoalsPage from './GoalsPage.svelte';
  import HearsUsPage from './HearsUsPage.svelte';
  import Ladder from './Ladder.svelte';
  import PostSpot from './PostSpot.svelte';
  import SpotList from './SpotList.svelte';
  import SunPage from './SunPage.svelte';
  import { memory, remembered } from '../../platform/shared/memory';
  import { OnAirStore } from './on-air.svelte';
  import { BandPlanStore } from '../../sources/radio/band-plan.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const onAir = useStore(OnAirStore);
  const bandPlan = useStore(BandPlanStore);
  const navigation = useStore(Navigation);

  const PAGES = [
    { id: 'now', label: texts.now, says: '' },
    { id: 'us', label: texts.whoHearsUs, says: texts.reportsOfYourOwnSignal },
    { id: 'goals', label: texts.goals, says: texts.whatCountsAsNeededFor },
    { id: 'alerts', label: texts.alerts, says: texts.whatIsAnnouncedHowAnd },
    { id: 'sun', label: texts.sunAndNews, says: texts.asReportedByTheFeeds },
  ] as const;
  const KEPT = 'yokebar-air-parts';

  const page = $derived(PAGES.find((p) => p.id === navigation.page)?.id ?? 'now');
  const air = $derived(onAir.air);

  interface Parts {
    list: boolean;
    map: boolean;
    bands: string[];
  }

  let parts = $state.raw<Parts>(remembered(memory, KEPT, { list: true, map: false, bands: ['20m'] }));

  function show(next: Parts) {
    parts = next;
    memory.setItem(KEPT, JSON.stringify(next));
  }

  const bands = $derived(bandPlan.bands.map((b) => b.name));
  const free = $derived(bands.filter((b) => !parts.bands.includes(b)));

  $effect(() => air.watch());
</script>

<Pages title={texts.onAir} base="on-air" pages={PAGES} {page} fill={page === 'now'}>
  {#snippet beside()}
    {#if page === 'now'}
      <span class="muted count">{texts.ofStationsValue(air.spots.length, air.onAir)}</span>
      <div class="keys parts" role="group" aria-label={texts.partsOfTheView}>
        <button aria-pressed={parts.list} onclick={() => show({ ...parts, list: !parts.list })}
          >{texts.list}</button
        >
        <button aria-pressed={parts.map} onclick={() => show({ ...parts, map: !parts.map })}
          >{texts.map}</button
        >
        <select
          aria-label={texts.addALadder}
          value=""
          onchange={(e) => {
            show({ ...parts, bands: [...parts.bands, e.currentTarget.value] });
            e.currentTarget.value = '';
          }}
        >
          <option value="" disabled>{texts.chooseLadder}</option>
          {#each free as band (band)}<option value={band}>{band}</option>{/each}
        </select>
      </div>
      <PostSpot />
    {/if}
  {/snippet}
  {#if page === 'us'}<HearsUsPage />
  {:else if page === 'goals'}<GoalsPage />
  {:else if page === 'alerts'}<AlertsPage />
  {:else if page === 'sun'}<SunPage />
  {:else}
    <div class="now">
      <FilterBar />
      {#if air.failure || air.problem}<p class="trouble" role="alert">{air.failure || air.problem}</p>
      {:else if air.tuned || air.chosen?.answers}
        <div class="tuned">
          {#if air.tuned}
            <p class:trouble={!air.tuned.good} role="status">{air.tuned.call}: {air.tuned.sentence}</p>
          {/if}
          {#if air.chosen?.answers}
            <button class="more" onclick={() => void onAir.goTo(air.chosen?.id ?? 0, true)}
              >{texts.haveTheProgramAnswerA(air.chosen.call)}</button
            >
          {/if}
        </div>
      {/if}
      <div class="parts-there" style:--ladders={parts.bands.length}>
        {#if parts.list}<div class="list"><SpotList /></div>{/if}
        {#if parts.map}<div class="chart"><AirMap /></div>{/if}
        {#each parts.bands as band (band)}
          <div class="rungs">
            <Ladder {band} onclose={() => show({ ...parts, bands: parts.bands.filter((b) => b !== band) })} />
          </div>
        {/each}
        {#if !parts.list && !parts.map && parts.bands.length === 0}
          <p class="muted">{texts.nothingIsChosenToLook}</p>
        {/if}
      </div>
    </div>
  {/if}
</Pages>

<style>
  .count {
    margin-left: auto;
    white-space: nowrap;
  }

  .parts {
    flex-wrap: nowrap;
  }

  .parts select {
    height: 28px;
    border: 1px solid var(--yb-line);
    border-radius: 2px;
    background: var(--yb-raised);
    color: var(--yb-ink);
    font: inherit;
    font-size: 13px;
  }

  .now {
    display: flex;
    flex-direction: column;
    flex: 1;
    gap: 8px;
    min-height: 0;
  }

  .tuned {
    display: flex;
    gap: 16px;
    min-height: 20px;
  }

  .parts-there {
    display: flex;
    flex: 1;
    gap: 16px;
    min-height: 0;
  }

  /* One below the other, each as high as it wants to be; the view scrolls. */
  @media (max-width: 700px) {
    .now {
      flex: none;
    }

    .parts-there {
      flex-direction: column;
    }

    .parts-there > .list {
      flex: none;
      height: 60vh;
    }

    .parts-there > .chart,
    .parts-there > .rungs {
      flex: none;
      max-width: none;
    }
  }

  .list {
    display: grid;
    flex: 4 1 560px;
    min-width: 0;
    container-type: inline-size;
  }

  .chart {
    display: grid;
    flex: 2 1 340px;
    min-width: 0;
  }

  .rungs {
    display: grid;
    flex: 1 1 220px;
    max-width: 320px;
    min-width: 256px;
  }
</style>
