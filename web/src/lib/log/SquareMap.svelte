<script lang="ts">
  import { geoEquirectangular, geoPath } from 'd3-geo';
  import type { FeatureCollection } from 'geojson';
  import { counted } from '../platform/shared/format';
  import { land } from '../platform/map/land';
  import { patch } from './squares';
  import { texts } from './texts';

  let { squares }: { squares: { value: string; contacts: number }[] } = $props();

  const shape = geoPath(
    geoEquirectangular()
      .scale(180 / Math.PI)
      .translate([180, 90]),
  );
  let coasts = $state<FeatureCollection | undefined>(undefined);
  void land().then((shapes) => (coasts = shapes));

  const patches = $derived(
    squares.flatMap(({ value, contacts }) => {
      const at = patch(value);
      return at ? [{ value, contacts, ...at }] : [];
    }),
  );
</script>

<svg viewBox="0 10 360 150" role="img" aria-label={texts.workedSquares(counted(patches.length, 'square'))}>
  {#if coasts}<path class="land" d={shape(coasts) ?? ''} />{/if}
  {#each patches as p (p.value)}
    <rect x={p.x} y={p.y} width={p.width} height={p.height}>
      <title>{p.value}: {counted(p.contacts, 'contact')}</title>
    </rect>
  {/each}
</svg>

<style>
  svg {
    width: 100%;
    max-width: 960px;
    border: 1px solid var(--yb-line);
    background: var(--yb-panel);
  }

  .land {
    fill: var(--yb-raised);
    stroke: var(--yb-line-strong);
    stroke-width: 0.2;
  }

  rect {
    fill: var(--yb-accent);
    fill-opacity: 0.85;
  }
</style>
