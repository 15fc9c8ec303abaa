<script lang="ts">
  import BandsPage from './bands/BandsPage.svelte';
  import CallbookPage from './callbook/CallbookPage.svelte';
  import CallsPage from './profile/CallsPage.svelte';
  import ClocksPage from '../sources/clock/ClocksPage.svelte';
  import KeepPage from './settings/KeepPage.svelte';
  import PlacesPage from './profile/PlacesPage.svelte';
  import PositionsPage from './position/PositionsPage.svelte';
  import SafetyPage from './backup/SafetyPage.svelte';
  import { StationStore } from './profile/station.svelte';
  import { Navigation } from '../platform/page/navigation.svelte';
  import { ClockCheckStore } from '../sources/clock/clock-check.svelte';
  import { useStore } from '../platform/page/stores';
  import { texts } from './texts';

  const station = useStore(StationStore);
  const navigation = useStore(Navigation);
  const clockCheck = useStore(ClockCheckStore);

  const PAGES = [
    { id: 'calls', label: texts.callsAndOperators },
    { id: 'places', label: texts.places },
    { id: 'positions', label: texts.positions },
    { id: 'bands', label: texts.bandsAndModes },
    { id: 'clocks', label: texts.unitsAndClocks },
    { id: 'callbook', label: texts.callbookAndLists },
    { id: 'safety', label: texts.keepingItSafe },
    { id: 'keep', label: texts.settingsFile },
  ] as const;

  const page = $derived(PAGES.find((p) => p.id === navigation.page)?.id ?? 'calls');
</script>

<section class="view station" aria-label={texts.station}>
  <div class="view-head">
    <h1>{texts.station}</h1>
    <span class="muted">{texts.everythingHereIsSavedAs}</span>
  </div>
  <nav aria-label={texts.stationPages}>
    {#each PAGES as { id, label } (id)}
      <a href={`#/station/${id}`} aria-current={page === id ? 'page' : undefined}>{label}</a>
    {/each}
  </nav>
  <div class="page">
    {#if station.problem}
      <p class="trouble" role="alert">{station.problem}</p>
    {:else if station.view}
      {#if !station.view.ready}
        <p class="first">
          {texts.theStationHasNoYet(station.view.ownCall ? 'place' : 'call')}
          <a href="#/first-steps">{texts.takeTheFirstSteps}</a>{texts.aMinuteOrTwo}
        </p>
      {/if}
      {#if page === 'calls'}<CallsPage {station} view={station.view} />
      {:else if page === 'places'}<PlacesPage {station} view={station.view} />
      {:else if page === 'positions'}<PositionsPage />
      {:else if page === 'bands'}<BandsPage {station} view={station.view} />
      {:else if page === 'clocks'}<ClocksPage {station} view={station.view} clock={clockCheck.view} />
      {:else if page === 'callbook'}<CallbookPage />
      {:else if page === 'safety'}<SafetyPage />
      {:else}<KeepPage />{/if}
    {:else}
      <p class="muted">{texts.readingTheStation}</p>
    {/if}
  </div>
</section>

<style>
  .station {
    display: grid;
    grid-template: auto 1fr / 176px minmax(0, 1fr);
    column-gap: 32px;
  }

  .view-head {
    grid-column: 1 / -1;
  }

  nav {
    display: flex;
    flex-direction: column;
  }

  nav a {
    padding: 6px 12px;
    border-left: 3px solid var(--yb-line);
    color: var(--yb-ink-2);
    text-decoration: none;
  }

  nav a:hover {
    color: var(--yb-ink);
    background: var(--yb-hover);
  }

  nav a[aria-current] {
    border-left-color: var(--yb-accent);
    color: var(--yb-ink);
    font-weight: 600;
  }

  .first {
    margin-bottom: 16px;
    padding: 8px 12px;
    border-left: 3px solid var(--yb-accent);
    background: var(--yb-panel);
  }

  @media (max-width: 900px) {
    .station {
      grid-template: auto auto 1fr / minmax(0, 1fr);
    }

    nav {
      flex-flow: row wrap;
      margin-bottom: 16px;
    }
  }
</style>
