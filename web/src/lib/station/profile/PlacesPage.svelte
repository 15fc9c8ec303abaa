<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { StationView } from '../../platform/api/client';
  import PlaceForm from './PlaceForm.svelte';
  import type { StationStore } from './station.svelte';

  let { station, view }: { station: StationStore; view: StationView } = $props();

  let adding = $state(false);
</script>

<h2>Places</h2>
<p class="muted">
  A new contact takes rig, antenna, power and comment from the place of its position, where its own record
  does not say them. Entity and zones follow from the call until you set others.
</p>
<div class="places">
  {#each view.places as place (place.id)}
    <PlaceForm {place} {station} />
  {/each}
  {#if adding || view.places.length === 0}
    <PlaceForm {station} onadded={() => (adding = false)} />
  {:else}
    <div><Button kind="tertiary" size="small" on:click={() => (adding = true)}>Add a place</Button></div>
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
