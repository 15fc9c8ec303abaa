<svelte:options namespace="svg" />

<script lang="ts">
  import { geoCircle, type GeoPath } from 'd3-geo';
  import type { FeatureCollection } from 'geojson';
  import { land as loadLand } from './land';
  import { nightCentre } from './map';
  import type { PathStore } from './path.svelte';

  /** What every map is drawn upon: sea, land, and night falling in steps. */
  let { draw, path }: { draw: GeoPath; path: PathStore } = $props();

  /** The edges of day, in degrees of the sun below the horizon, from dusk to night. */
  const DUSK = [0, 6, 12];

  let land = $state.raw<FeatureCollection | undefined>(undefined);

  const night = $derived(path.sun && nightCentre(path.sun.latitudeDegrees, path.sun.longitudeDegrees));

  $effect(() => path.watchSun());
  void loadLand().then((shapes) => (land = shapes));
</script>

<path class="sea" d={draw({ type: 'Sphere' })} />
{#if land}<path class="land" d={draw(land)} />{/if}
{#if night}
  {#each DUSK as below (below)}
    <path
      class="night"
      d={draw(
        geoCircle()
          .center(night)
          .radius(90 - below)(),
      )}
    />
  {/each}
{/if}

<style>
  .sea {
    fill: var(--yb-panel);
    stroke: var(--yb-line);
  }

  .land {
    fill: var(--yb-line);
  }

  .night {
    fill: #000;
    opacity: 0.18;
    pointer-events: none;
  }
</style>
