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

  const station = useStore(StationStore);
  const navigation = useStore(Navigation);
  const clockCheck = useStore(ClockCheckStore);

  const PAGES = [
    { id: 'calls', label: 'Calls and operators' },
    { id: 'places', label: 'Places' },
    { id: 'positions', label: 'Positions' },
    { id: 'bands', label: 'Bands and modes' },
    { id: 'clocks', label: 'Units and clocks' },
    { id: 'callbook', label: 'Callbook and lists' },
    { id: 'safety', label: 'Keeping it safe' },
    { id: 'keep', label: 'Settings file' },
  ] as const;

  const page = $derived(PAGES.find((p) => p.id === navigation.page)?.id ?? 'calls');
</script>

<section class="view station" aria-label="Station">
  <div class="view-head">
    <h1>Station</h1>
    <span class="muted">Everything here is saved as soon as you leave a field; a tick says so.</span>
  </div>
  <nav aria-label="Station pages">
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
          The station has no {station.view.ownCall ? 'place' : 'call'} yet.
          <a href="#/first-steps">Take the first steps</a>, a minute or two.
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
      <p class="muted">Reading the station…</p>
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
