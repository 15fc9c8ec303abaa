<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { StationView } from '../api/client';
  import SavingInput from './SavingInput.svelte';
  import type { PlaceDraft, StationStore } from './station.svelte';

  type Place = StationView['places'][number];
  let { place, station }: { place?: Place; station: StationStore } = $props();

  const EMPTY: PlaceDraft = { name: '', locator: '', rig: '', antenna: '', powerW: null };
  const key = $derived(`place-${place?.id ?? 'new'}`);
  const saved = $derived(!!place && station.saved?.key === key && !station.saved.problem);
  let fresh = $state<PlaceDraft>({ ...EMPTY });

  const draft = $derived<PlaceDraft>(
    place
      ? {
          name: place.name,
          locator: place.locator ?? '',
          rig: place.rig ?? '',
          antenna: place.antenna ?? '',
          powerW: place.powerW ?? null,
        }
      : fresh,
  );

  function change(part: Partial<PlaceDraft>) {
    if (place) {
      void station.savePlace(place.id, { ...draft, ...part });
    } else {
      fresh = { ...fresh, ...part };
    }
  }

  async function add() {
    if (await station.savePlace(undefined, fresh)) {
      fresh = { ...EMPTY };
    }
  }

  const power = (text: string) =>
    text === '' || Number.isNaN(Number(text)) ? null : Math.round(Number(text));
</script>

<div class="row">
  <SavingInput
    label={place ? 'Name' : 'New place'}
    value={draft.name}
    {saved}
    fault={station.fault(key, 'name')}
    onsave={(name) => change({ name })}
  />
  <SavingInput
    label="Locator"
    mono
    value={draft.locator}
    {saved}
    fault={station.fault(key, 'locator')}
    onsave={(locator) => change({ locator })}
  />
  <SavingInput label="Rig" value={draft.rig} {saved} onsave={(rig) => change({ rig })} />
  <SavingInput label="Antenna" value={draft.antenna} {saved} onsave={(antenna) => change({ antenna })} />
  <SavingInput
    label="Power, W"
    value={draft.powerW === null ? '' : String(draft.powerW)}
    {saved}
    fault={station.fault(key, 'powerW')}
    onsave={(text) => change({ powerW: power(text) })}
  />
  {#if !place}
    <Button kind="tertiary" size="small" disabled={!fresh.name} on:click={add}>Add place</Button>
  {/if}
</div>

<style>
  .row {
    display: grid;
    grid-template-columns: 200px 120px 200px 200px 96px auto;
    gap: 12px;
    align-items: end;
    justify-content: start;
  }

  @media (max-width: 1100px) {
    .row {
      grid-template-columns: repeat(3, minmax(0, 1fr));
    }
  }
</style>
