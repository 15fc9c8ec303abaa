<script lang="ts">
  import { api, got, type BandStretch } from '../../platform/api/client';
  import { useStore } from '../../platform/page/stores';
  import { kiloHertz } from '../../platform/shared/format';
  import { PositionStore } from '../../station/position/positions.svelte';
  import { dialY, ticks, type layOut, type Stretch } from './ladder';
  import { texts } from './texts';

  interface Props {
    band: string;
    stretch: Stretch;
    width: number;
    height: number;
    layout: ReturnType<typeof layOut>;
    /** Where the radio is, Hz; nothing when it is on another band. */
    dial: number | undefined;
    /** Width of the axis, px. */
    axis: number;
    /** Width of a column of calls, px. */
    label: number;
  }

  let { band, stretch, width, height, layout, dial, axis, label }: Props = $props();

  const positions = useStore(PositionStore);

  let stretches = $state.raw<BandStretch[]>([]);

  const y = (hz: number) => dialY(hz, stretch, height);
  const visible = $derived(stretches.filter((s) => s.highHz > stretch.lowHz && s.lowHz < stretch.highHz));

  $effect(() => {
    const positionId = positions.here?.id;
    got(api.GET('/api/onair/stretches', { params: { query: { band, positionId } } })).then(
      (all) => (stretches = all),
      () => (stretches = []),
    );
  });
</script>

<svg {width} {height} aria-hidden="true">
  {#each visible as part (part.lowHz)}
    {@const top = Math.max(0, y(part.highHz))}
    {@const bottom = Math.min(height, y(part.lowHz))}
    <rect
      class="part"
      class:outside={!part.inside}
      x={axis - 12}
      y={top}
      width="12"
      height={Math.max(0, bottom - top)}
    />
    <line class="edge" x1="0" x2={axis} y1={bottom} y2={bottom} />
    {#if bottom - top > part.words.length * 5 + 8}
      <text class="use" transform={`translate(${axis - 3} ${(top + bottom) / 2}) rotate(-90)`}
        >{part.inside ? part.words : texts.notYoursWords(part.words)}</text
      >
    {/if}
  {/each}
  {#each ticks(stretch, height) as hz (hz)}
    <line class="tick" x1={axis} x2={axis + 6} y1={y(hz)} y2={y(hz)} />
    <text class="hz" x="2" y={Math.max(10, Math.min(height - 3, y(hz) + 4))}
      >{kiloHertz(hz).replace(/\.0$/, '')}</text
    >
  {/each}
  {#each layout.rungs as rung (rung.spot.id)}
    <polyline
      class="lead"
      points={`${axis},${rung.dialY} ${axis + 10},${rung.dialY} ${axis + 20},${rung.labelY} ${axis + 24 + rung.column * label},${rung.labelY}`}
    />
  {/each}
  {#each layout.hidden as spot (spot.id)}
    <line class="lone" x1={axis} x2={axis + 8} y1={y(spot.frequencyHz)} y2={y(spot.frequencyHz)} />
  {/each}
  {#if dial !== undefined && dial >= stretch.lowHz && dial <= stretch.highHz}
    <path class="dial" d={`M0 ${y(dial)}H${width}`} />
    <path class="hand" d={`M${axis - 12} ${y(dial)}l-8 -5v10z`} />
  {/if}
</svg>

<style>
  svg {
    position: absolute;
    inset: 0;
  }

  .part {
    fill: var(--yb-raised);
  }

  .part.outside {
    fill: var(--yb-line);
  }

  .edge,
  .tick {
    stroke: var(--yb-line-strong);
  }

  .use {
    fill: var(--yb-ink-2);
    font-size: 10px;
    text-anchor: middle;
  }

  .hz {
    fill: var(--yb-ink-2);
    font-family: var(--yb-mono);
    font-size: 10px;
  }

  .lead {
    fill: none;
    stroke: var(--yb-line-strong);
  }

  .lone {
    stroke: var(--yb-ink-2);
  }

  .dial {
    stroke: var(--yb-accent);
    stroke-dasharray: 2 3;
  }

  .hand {
    fill: var(--yb-accent);
  }
</style>
