<script lang="ts">
  import { api, got, Problem, type AirFilter } from '../../platform/api/client';
  import { useStore } from '../../platform/page/stores';
  import { BandPlanStore } from '../../sources/radio/band-plan.svelte';
  import { CONTINENTS, GROUPS, NEEDS, toggled } from './filter';
  import { OnAirStore } from './on-air.svelte';
  import { texts } from './texts';

  /** What the filter lets through, by need, band, place and more; each click takes effect at once. */
  const onAir = useStore(OnAirStore);
  const bandPlan = useStore(BandPlanStore);

  const FLAGS = [
    { name: 'quiet', label: texts.notWorkedHereYet },
    { name: 'insideLicence', label: texts.insideMyLicence },
    { name: 'confirms', label: texts.confirmsElectronically },
    { name: 'callingCq', label: texts.callingCq },
    { name: 'watchedOnly', label: texts.onMyWatchList },
  ] as const;

  const air = $derived(onAir.air);
  const filter = $derived(air.filter);
  type Entity = { number: number; name: string };
  let entities = $state.raw<Entity[]>([]);
  let places = $state({ hearerEntities: '', entities: '' });
  let area = $state('');
  let problem = $state('');
  let everyBand = $state(false);

  const set = (more: Partial<AirFilter>) => onAir.filterBy({ ...filter, ...more });
  const allBands = $derived(bandPlan.bands.map((b) => b.name));
  const usual = $derived(new Set(bandPlan.bands.filter((b) => b.usual).map((b) => b.name)));
  /** The usual ones, and any other that somebody is heard on. */
  const bands = $derived(
    allBands.filter(
      (band) =>
        everyBand ||
        usual.has(band) ||
        filter.bands?.includes(band) ||
        air.spots.some((spot) => spot.band === band),
    ),
  );

  const loaded = got(api.GET('/api/onair/entities')).then(
    (all) => (entities = all),
    (e: unknown) => {
      problem = e instanceof Problem ? e.message : texts.yokebarDoesNotAnswer;
      return [] as Entity[];
    },
  );

  /** Takes an entity by its name, as far as it was typed; waits for the list of them. */
  async function entityNamed(text: string): Promise<number | undefined> {
    const entities = await loaded;
    const typed = text.trim().toLowerCase();
    return (
      entities.find((e) => e.name.toLowerCase() === typed) ??
      (typed.length > 2 ? entities.find((e) => e.name.toLowerCase().startsWith(typed)) : undefined)
    )?.number;
  }

  async function addPlace(event: Event, of: 'hearerEntities' | 'entities') {
    event.preventDefault();
    const number = await entityNamed(places[of]);
    if (number === undefined) {
      if (entities.length > 0) {
        problem = texts.noEntityIsCalled(places[of]);
      }
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

<div class="menu-form">
  <h3>{texts.needed}</h3>
  <div class="keys">
    {#each NEEDS as need (need.id)}
      <button
        aria-pressed={filter.need === need.id}
        onclick={() => set({ need: filter.need === need.id ? undefined : need.id })}>{need.name}</button
      >
    {/each}
  </div>
  <h3>{texts.modesAndBands}</h3>
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
      <button class="more" onclick={() => (everyBand = true)}>{texts.allBands}</button>
    {/if}
  </div>
  <h3>{texts.heardFrom}</h3>
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
        placeholder={texts.anEntity}
        aria-label={texts.heardFromAnEntity}
      />
    </form>
    <form onsubmit={addArea}>
      <input bind:value={area} placeholder={texts.zone14OrAreaK1} aria-label={texts.heardFromAZoneOr} />
    </form>
    <label
      >{texts.atLeast}
      <input
        class="db"
        type="number"
        value={filter.snrFloorDb ?? ''}
        placeholder={texts.any}
        aria-label={texts.leastSignalDb}
        onchange={(e) =>
          set({ snrFloorDb: e.currentTarget.value === '' ? undefined : Number(e.currentTarget.value) })}
      /> dB</label
    >
  </div>
  <h3>{texts.stationsIn}</h3>
  <div class="keys">
    {#each CONTINENTS as continent (continent.id)}
      <button
        aria-pressed={filter.continents?.includes(continent.id) ?? false}
        onclick={() => set({ continents: toggled(filter.continents, continent.id) })}>{continent.name}</button
      >
    {/each}
  </div>
  <form class="pair" onsubmit={(e) => addPlace(e, 'entities')}>
    <input
      list="air-entities"
      bind:value={places.entities}
      placeholder={texts.anEntity}
      aria-label={texts.stationsInAnEntity}
    />
  </form>
  <h3>{texts.onlyStationsThat}</h3>
  <div class="keys">
    {#each FLAGS as flag (flag.name)}
      <button aria-pressed={filter[flag.name]} onclick={() => set({ [flag.name]: !filter[flag.name] })}
        >{flag.label}</button
      >
    {/each}
  </div>
  {#if problem}<p class="trouble said" role="alert">{problem}</p>{/if}
</div>

<style>
  h3 {
    margin: 10px 0 4px;
    color: var(--yb-ink-2);
    font-size: 12px;
    font-weight: 400;
  }

  .menu-form input.db {
    width: 60px;
  }
</style>
