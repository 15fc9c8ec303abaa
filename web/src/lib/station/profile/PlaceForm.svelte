<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { PlaceDraft, PlaceView } from '../../platform/api/client';
  import SavingInput from '../../platform/shared/SavingInput.svelte';
  import type { StationStore } from './station.svelte';
  import { texts } from './texts';

  let { place, station, onadded }: { place?: PlaceView; station: StationStore; onadded?: () => void } =
    $props();

  const key = $derived(`place-${place?.id ?? 'new'}`);
  const saved = $derived(!!place && station.saving.saved(key));
  let fresh = $state<PlaceDraft>({});

  const draft = $derived<PlaceDraft>(
    place
      ? {
          name: place.name,
          locator: place.locator,
          rig: place.rig,
          antenna: place.antenna,
          powerW: place.powerW,
          comment: place.comment,
          entityCode: place.entityCode,
          cqZone: place.cqZone,
          ituZone: place.ituZone,
        }
      : fresh,
  );
  const situation = $derived(place?.situation);

  function change(part: PlaceDraft) {
    if (place) {
      void station.savePlace(place.id, { ...draft, ...part });
    } else {
      fresh = { ...fresh, ...part };
    }
  }

  async function add() {
    if (await station.savePlace(undefined, fresh)) {
      fresh = {};
      onadded?.();
    }
  }

  const number = (text: string) =>
    text === '' || Number.isNaN(Number(text)) ? undefined : Math.round(Number(text));
  const text = (value: string | number | undefined) => (value === undefined ? '' : String(value));
</script>

{#snippet field(name: keyof PlaceDraft, label: string, as: 'text' | 'number' = 'text', placeholder = '')}
  <SavingInput
    {label}
    {placeholder}
    mono={name === 'locator'}
    value={text(draft[name])}
    {saved}
    fault={station.saving.fault(key, name)}
    onsave={(typed) => change({ [name]: as === 'number' ? number(typed) : typed })}
  />
{/snippet}

<section class="place" aria-label={place?.name ?? texts.newPlace}>
  <div class="row">
    {@render field('name', place ? 'Name' : texts.newPlace)}
    {@render field('locator', 'Locator')}
    {@render field('rig', 'Rig')}
    {@render field('antenna', 'Antenna')}
    {@render field('powerW', texts.powerW, 'number')}
  </div>
  <div class="row second">
    {@render field('comment', texts.commentOfNewContacts)}
    {@render field('entityCode', texts.entityNumber, 'number', text(situation?.entityCode))}
    {@render field('cqZone', texts.cqZone, 'number', text(situation?.cqZone))}
    {@render field('ituZone', texts.ituZone, 'number', text(situation?.ituZone))}
    {#if place}
      <p class="situation muted">
        {situation ? `${situation.entity}, ${situation.continent}` : texts.noEntityWithoutACall}
      </p>
    {:else}
      <Button kind="tertiary" size="small" disabled={!fresh.name} on:click={add}>{texts.addPlace}</Button>
    {/if}
  </div>
</section>

<style>
  .place {
    display: flex;
    flex-direction: column;
    gap: 8px;
    padding-bottom: 16px;
    border-bottom: 1px solid var(--yb-line);
  }

  .row {
    display: grid;
    grid-template-columns: 1.5fr 112px 1.5fr 1.5fr 88px;
    gap: 12px;
    align-items: end;
  }

  .second {
    grid-template-columns: 1.5fr 112px 96px 96px 1.5fr;
  }

  .situation {
    line-height: 32px;
  }

  @media (max-width: 900px) {
    .row,
    .second {
      grid-template-columns: repeat(3, minmax(0, 1fr));
    }
  }
</style>
