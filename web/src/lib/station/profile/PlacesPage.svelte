<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { StationView } from '../../platform/api/client';
  import PlaceForm from './PlaceForm.svelte';
  import type { StationStore } from './station.svelte';
  import { texts } from './texts';

  let { station, view }: { station: StationStore; view: StationView } = $props();

  let adding = $state(false);
</script>

<h2>{texts.places}</h2>
<p class="muted">
  {texts.aNewContactTakesRig}
</p>
<div class="places">
  {#each view.places as place (place.id)}
    <PlaceForm {place} {station} />
  {/each}
  {#if adding || view.places.length === 0}
    <PlaceForm {station} onadded={() => (adding = false)} />
  {:else}
    <div>
      <Button kind="tertiary" size="small" on:click={() => (adding = true)}>{texts.addAPlace}</Button>
    </div>
  {/if}
</div>

<style>
  .places {
    display: flex;
    flex-direction: column;
    gap: 16px;
    max-width: 960px;
    margin-top: 8px;
  }
</style>
