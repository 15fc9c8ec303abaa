<script lang="ts">
  import { geoAzimuthalEquidistant, geoEquirectangular, geoPath } from 'd3-geo';
  import { api, got, type Spot, type SpotDetail } from '../../platform/api/client';
  import World from '../../platform/map/World.svelte';
  import { memory } from '../../platform/shared/memory';
  import { OnAirStore } from './on-air.svelte';
  import { PathStore } from '../../platform/map/path.svelte';
  import { PositionStore } from '../../station/position/positions.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const onAir = useStore(OnAirStore);
  const pathStore = useStore(PathStore);
  const positions = useStore(PositionStore);

  const KEPT = 'yokebar-air-map';

  let width = $state(500);
  let height = $state(400);
  let round = $state(memory.getItem(KEPT) !== 'flat');
  let detail = $state.raw<SpotDetail | undefined>(undefined);

  const air = $derived(onAir.air);
  const here = $derived(positions.here);
  const home = $derived<[number, number]>([here?.longitudeDegrees ?? 0, here?.latitudeDegrees ?? 0]);
  const projection = $derived(
    round
      ? geoAzimuthalEquidistant()
          .rotate([-home[0], -home[1]])
          .clipAngle(179.9)
          .scale(Math.max(50, Math.min(width, height) / 2 - 14) / Math.PI)
          .translate([width / 2, height / 2])
      : geoEquirectangular()
          .rotate([-home[0], 0])
          .scale(Math.min(width / (2 * Math.PI), height / Math.PI))
          .translate([width / 2, height / 2]),
  );
  const draw = $derived(geoPath(projection));
  /** One for each place: of those in the same place the one worth most. */
  const places = $derived(onePerPlace(air.spots));
  const chosen = $derived(air.chosen);

  $effect(() => {
    const id = air.selected;
    const positionId = positions.here?.id;
    detail = undefined;
    if (id !== undefined) {
      got(api.GET('/api/onair/spots/{id}', { params: { path: { id }, query: { positionId } } })).then(
        (found) => (detail = found),
        () => (detail = undefined),
      );
    }
  });

  function onePerPlace(spots: readonly Spot[]): Spot[] {
    const best = new Map<string, Spot>();
    for (const spot of spots) {
      if (spot.latitudeDegrees !== undefined && spot.longitudeDegrees !== undefined) {
        const key = `${spot.latitudeDegrees.toFixed(1)} ${spot.longitudeDegrees.toFixed(1)}`;
        if (!best.has(key)) {
          best.set(key, spot);
        }
      }
    }
    return [...best.values()];
  }

  const dot = (at: { latitudeDegrees?: number; longitudeDegrees?: number }): [number, number] =>
    projection([at.longitudeDegrees ?? 0, at.latitudeDegrees ?? 0]) ?? [-99, -99];

  const hears = ({ call, snrDb }: { call: string; snrDb?: number }) =>
    texts.hearsItCall(call, snrDb === undefined ? '' : `, ${snrDb} dB`);

  function turn() {
    round = !round;
    memory.setItem(KEPT, round ? 'round' : 'flat');
  }
</script>

<section class="map" aria-label={texts.mapOfTheAir}>
  <div class="sheet" bind:clientWidth={width} bind:clientHeight={height}>
    <svg {width} {height} role="group" aria-label={texts.stationsOnTheAirNight}>
      <World {draw} path={pathStore} />
      {#if chosen?.latitudeDegrees !== undefined && chosen.longitudeDegrees !== undefined}
        <path
          class="path"
          d={draw({
            type: 'LineString',
            coordinates: [home, [chosen.longitudeDegrees, chosen.latitudeDegrees]],
          })}
        />
        {#each detail?.hearers ?? [] as hearer (hearer.call + hearer.ear)}
          {#if hearer.latitudeDegrees !== undefined && hearer.longitudeDegrees !== undefined}
            <path
              class="hears"
              d={draw({
                type: 'LineString',
                coordinates: [
                  [chosen.longitudeDegrees, chosen.latitudeDegrees],
                  [hearer.longitudeDegrees, hearer.latitudeDegrees],
                ],
              })}
            />
            <path class="hearer" transform={`translate(${dot(hearer).join(' ')})`} d="M-4 3L0 -4L4 3Z"
              ><title>{hears(hearer)}</title></path
            >
          {/if}
        {/each}
      {/if}
      {#each places as spot (spot.id)}
        {@const at = dot(spot)}
        <!-- svelte-ignore a11y_click_events_have_key_events -->
        <g
          class="station"
          class:selected={spot.id === air.selected}
          transform={`translate(${at[0]} ${at[1]})`}
          role="button"
          tabindex="-1"
          aria-label={`${spot.call}: ${spot.why}`}
          onclick={() => void onAir.goTo(spot.id)}
        >
          {#if spot.level === 'EVER'}<rect class="open" x="-5" y="-5" width="10" height="10" />
          {:else if spot.wants.length > 0}<rect class="open" x="-4" y="-4" width="8" height="8" /><rect
              class="full"
              x="-4"
              y="0"
              width="8"
              height="4"
            />
          {:else}<circle class="full small" r="2.5" />{/if}
          <title>{spot.call} · {spot.why}</title>
        </g>
      {/each}
      <rect
        class="home"
        x={dot({ latitudeDegrees: home[1], longitudeDegrees: home[0] })[0] - 4}
        y={dot({ latitudeDegrees: home[1], longitudeDegrees: home[0] })[1] - 4}
        width="8"
        height="8"
      />
    </svg>
  </div>
  <div class="caption muted">
    <span class="sign"
      ><svg width="12" height="12"><rect class="open" x="1" y="1" width="10" height="10" /></svg>
      {texts.neverWorked}</span
    >
    <span class="sign"
      ><svg width="12" height="12"
        ><rect class="open" x="2" y="2" width="8" height="8" /><path class="full" d="M2 6h8v4H2Z" /></svg
      >
      {texts.isNeeded}</span
    >
    <span class="sign"
      ><svg width="12" height="12"><circle class="full" cx="6" cy="6" r="2.5" /></svg> {texts.notNeeded}</span
    >
    <span class="sign"
      ><svg width="12" height="12"><path class="hearer" d="M2 9L6 2L10 9Z" /></svg>
      {texts.hearsTheChosenOne}</span
    >
    <button class="more" onclick={turn}>{round ? texts.wholeWorldFlat : texts.roundUs}</button>
  </div>
</section>

<style>
  .map {
    display: flex;
    flex-direction: column;
    min-width: 0;
    min-height: 0;
  }

  .sheet {
    position: relative;
    flex: 1;
    min-height: 160px;
    overflow: hidden;
  }

  .sheet > svg {
    position: absolute;
    inset: 0;
  }

  .path {
    fill: none;
    stroke: var(--yb-accent);
    stroke-width: 2;
  }

  .hears {
    fill: none;
    stroke: var(--yb-ink-2);
    stroke-dasharray: 1 4;
  }

  .hearer {
    fill: var(--yb-ink-2);
  }

  .station {
    cursor: pointer;
  }

  .open {
    fill: var(--yb-ground);
    stroke: var(--yb-ink);
    stroke-width: 1.5;
  }

  .full {
    fill: var(--yb-ink);
  }

  .small {
    fill: var(--yb-ink-2);
  }

  .station.selected .open,
  .station.selected .small {
    stroke: var(--yb-accent);
    stroke-width: 3;
  }

  .home {
    fill: var(--yb-accent);
  }

  .caption {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 16px;
    min-height: 32px;
    font-size: 12px;
  }

  .sign {
    display: inline-flex;
    align-items: center;
    gap: 4px;
  }

  .caption button {
    margin-left: auto;
  }
</style>
