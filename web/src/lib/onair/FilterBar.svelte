<script lang="ts">
  import { api, got, Problem, type AirFilter, type NamedFilter } from '../api/client';
  import type { AppState } from '../frame/app.svelte';
  import Menu from '../shared/Menu.svelte';
  import { CONTINENTS, EVERYTHING, GROUPS, NEEDS, toggled, WANTED, without } from './filter';

  let { app }: { app: AppState } = $props();

  const FLAGS = [
    { name: 'quiet', label: 'not worked here yet' },
    { name: 'insideLicence', label: 'inside my licence' },
    { name: 'confirms', label: 'confirms electronically' },
    { name: 'callingCq', label: 'calling CQ' },
    { name: 'watchedOnly', label: 'on my watch list' },
  ] as const;
  const AGES = [5, 10, 20, 30, 60];
  const MAX_ZONES = 40;
  const USUAL_BANDS = new Set('160m 80m 60m 40m 30m 20m 17m 15m 12m 10m 6m 4m 2m 70cm'.split(' '));

  const air = $derived(app.air);
  const filter = $derived(air.filter);
  let views = $state.raw<NamedFilter[]>([]);
  let entities = $state.raw<{ number: number; name: string }[]>([]);
  let name = $state('');
  let places = $state({ hearerEntities: '', entities: '' });
  let area = $state('');
  let problem = $state('');
  let everyBand = $state(false);

  const set = (more: Partial<AirFilter>) => app.filterAir({ ...filter, ...more });
  const allBands = $derived(app.bandPlan.bands.map((b) => b.name));
  /** The usual ones, and any other that somebody is heard on. */
  const bands = $derived(
    allBands.filter(
      (band) =>
        everyBand ||
        USUAL_BANDS.has(band) ||
        filter.bands?.includes(band) ||
        air.spots.some((spot) => spot.band === band),
    ),
  );

  async function load() {
    try {
      views = await got(api.GET('/api/onair/views'));
      if (entities.length === 0) {
        entities = await got(api.GET('/api/onair/entities'));
      }
      problem = '';
    } catch (e) {
      problem = e instanceof Problem ? e.message : 'Yokebar does not answer.';
    }
  }

  async function keep(event: Event) {
    event.preventDefault();
    try {
      views = await got(api.PUT('/api/onair/views', { body: { name, filter } }));
      name = '';
      problem = '';
    } catch (e) {
      problem = e instanceof Problem ? e.message : 'Yokebar does not answer.';
    }
  }

  async function drop(view: string) {
    views = await got(api.DELETE('/api/onair/views/{name}', { params: { path: { name: view } } }));
  }

  /** Takes an entity by its name, as far as it was typed. */
  function entityNamed(text: string): number | undefined {
    const typed = text.trim().toLowerCase();
    return (
      entities.find((e) => e.name.toLowerCase() === typed) ??
      (typed.length > 2 ? entities.find((e) => e.name.toLowerCase().startsWith(typed)) : undefined)
    )?.number;
  }

  function addPlace(event: Event, of: 'hearerEntities' | 'entities') {
    event.preventDefault();
    const number = entityNamed(places[of]);
    if (number === undefined) {
      problem = `No entity is called “${places[of]}”.`;
      return;
    }
    problem = '';
    places[of] = '';
    set({ [of]: [...(filter[of] ?? []), number] });
  }

  function addArea(event: Event) {
    event.preventDefault();
    const typed = area.trim().toUpperCase();
    const zone = Number(typed);
    if (typed === '') {
      return;
    }
    if (/^\d+$/.test(typed) && (zone < 1 || zone > MAX_ZONES)) {
      problem = `There is no zone ${typed}; they go from 1 to ${MAX_ZONES}.`;
      return;
    }
    if (Number.isInteger(zone)) {
      set({ hearerZones: [...(filter.hearerZones ?? []), zone] });
    } else {
      set({ hearerAreas: [...(filter.hearerAreas ?? []), typed] });
    }
    problem = '';
    area = '';
  }
</script>

<datalist id="air-entities">
  {#each entities as entity (entity.number)}<option value={entity.name}></option>{/each}
</datalist>

<div class="filter" role="group" aria-label="Filter">
  <span class="muted">Shown:</span>
  <p class="sentence">
    {#each air.sentence as phrase, i (phrase.about)}
      {#if i > 0}<span class="muted" aria-hidden="true">·</span>{/if}
      {#if phrase.about === 'AGE'}
        <select
          aria-label="Heard in the last minutes"
          value={String(filter.maxAgeMinutes ?? 30)}
          onchange={(e) => set({ maxAgeMinutes: Number(e.currentTarget.value) })}
        >
          {#each AGES as minutes (minutes)}<option value={String(minutes)}>last {minutes} min</option>{/each}
        </select>
      {:else}
        <button
          class="phrase"
          title="Take this out"
          onclick={() => app.filterAir(without(filter, phrase.about))}
          >{phrase.words} <span aria-hidden="true">×</span></button
        >
      {/if}
    {/each}
  </p>
  <Menu label="Add filter" onopen={load}>
    <div class="form">
      <h3>Needed</h3>
      <div class="keys">
        {#each NEEDS as need (need.id)}
          <button
            aria-pressed={filter.need === need.id}
            onclick={() => set({ need: filter.need === need.id ? undefined : need.id })}>{need.name}</button
          >
        {/each}
      </div>
      <h3>Modes and bands</h3>
      <div class="keys">
        {#each GROUPS as group (group.id)}
          <button
            aria-pressed={filter.groups?.includes(group.id) ?? false}
            onclick={() => set({ groups: toggled(filter.groups, group.id) })}>{group.name}</button
          >
        {/each}
        {#each bands as band (band)}
          <button
            aria-pressed={filter.bands?.includes(band) ?? false}
            onclick={() => set({ bands: toggled(filter.bands, band) })}>{band}</button
          >
        {/each}
        {#if bands.length < allBands.length}
          <button class="more" onclick={() => (everyBand = true)}>all bands</button>
        {/if}
      </div>
      <h3>Heard from</h3>
      <div class="keys">
        {#each CONTINENTS as continent (continent.id)}
          <button
            aria-pressed={filter.hearerContinents?.includes(continent.id) ?? false}
            onclick={() => set({ hearerContinents: toggled(filter.hearerContinents, continent.id) })}
            >{continent.name}</button
          >
        {/each}
      </div>
      <div class="pair">
        <form onsubmit={(e) => addPlace(e, 'hearerEntities')}>
          <input
            list="air-entities"
            bind:value={places.hearerEntities}
            placeholder="an entity"
            aria-label="Heard from an entity"
          />
        </form>
        <form onsubmit={addArea}>
          <input
            bind:value={area}
            placeholder="zone 14, or area K1"
            aria-label="Heard from a zone or a call area"
          />
        </form>
        <label
          >at least <input
            class="db"
            type="number"
            value={filter.snrFloorDb ?? ''}
            placeholder="any"
            aria-label="Least signal, dB"
            onchange={(e) =>
              set({ snrFloorDb: e.currentTarget.value === '' ? undefined : Number(e.currentTarget.value) })}
          /> dB</label
        >
      </div>
      <h3>Stations in</h3>
      <div class="keys">
        {#each CONTINENTS as continent (continent.id)}
          <button
            aria-pressed={filter.continents?.includes(continent.id) ?? false}
            onclick={() => set({ continents: toggled(filter.continents, continent.id) })}
            >{continent.name}</button
          >
        {/each}
      </div>
      <form class="pair" onsubmit={(e) => addPlace(e, 'entities')}>
        <input
          list="air-entities"
          bind:value={places.entities}
          placeholder="an entity"
          aria-label="Stations in an entity"
        />
      </form>
      <h3>Only stations that</h3>
      <div class="keys">
        {#each FLAGS as flag (flag.name)}
          <button aria-pressed={filter[flag.name]} onclick={() => set({ [flag.name]: !filter[flag.name] })}
            >{flag.label}</button
          >
        {/each}
      </div>
      {#if problem}<p class="trouble said" role="alert">{problem}</p>{/if}
    </div>
  </Menu>
  <Menu label="Views" onopen={load}>
    <div class="form">
      <button class="more" onclick={() => app.filterAir(EVERYTHING)}>Everything on the air</button>
      <button class="more" onclick={() => app.filterAir(WANTED)}>What I need</button>
      {#each views as view (view.name)}
        <div class="saved">
          <button class="more" onclick={() => app.filterAir(view.filter)}>{view.name}</button>
          <button class="more" aria-label={`Forget ${view.name}`} onclick={() => void drop(view.name)}
            >×</button
          >
        </div>
      {/each}
      <form class="pair" onsubmit={keep}>
        <input bind:value={name} placeholder="Name for this filter" aria-label="Name for this filter" />
        <button class="more" disabled={name.trim() === ''}>Keep it</button>
      </form>
      {#if problem}<p class="trouble said" role="alert">{problem}</p>{/if}
    </div>
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

  .form {
    width: min(424px, 86vw);
    padding: 0 4px 4px;
  }

  h3 {
    margin: 10px 0 4px;
    color: var(--yb-ink-2);
    font-size: 12px;
    font-weight: 400;
  }

  .pair {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    align-items: center;
    margin-top: 6px;
  }

  /* Seen wherever the form has been scrolled to. */
  .said {
    position: sticky;
    bottom: -12px;
    margin: 8px -4px -4px;
    padding: 8px 4px;
    border-top: 1px solid var(--yb-line);
    background: var(--yb-panel);
  }

  .form input {
    width: 150px;
    height: 28px;
    padding: 0 8px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 2px;
    background: var(--yb-ground);
    color: var(--yb-ink);
    font: inherit;
    font-size: 13px;
  }

  .form input.db {
    width: 60px;
  }

  .form > .more,
  .saved {
    display: flex;
    justify-content: space-between;
    width: 100%;
    padding: 4px 0;
    text-align: left;
  }
</style>
