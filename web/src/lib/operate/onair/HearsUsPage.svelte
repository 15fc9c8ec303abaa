<script lang="ts">
  import { geoAzimuthalEquidistant, geoPath } from 'd3-geo';
  import { api, got, Problem, type HearsUs } from '../../platform/api/client';
  import World from '../../platform/map/World.svelte';
  import { clock } from '../../platform/shared/clock.svelte';
  import { ago, distance, kiloHertz } from '../../platform/shared/format';
  import { PathStore } from '../../platform/map/path.svelte';
  import { PositionStore } from '../../station/position/positions.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const path = useStore(PathStore);
  const positions = useStore(PositionStore);

  const SIZE = 460;
  const EVERY_MS = 2_000;
  let all = $state.raw<HearsUs[] | undefined>(undefined);
  let problem = $state('');

  const here = $derived(positions.here);
  const home = $derived<[number, number]>([here?.longitudeDegrees ?? 0, here?.latitudeDegrees ?? 0]);
  const projection = $derived(
    geoAzimuthalEquidistant()
      .rotate([-home[0], -home[1]])
      .clipAngle(179.9)
      .scale((SIZE / 2 - 8) / Math.PI)
      .translate([SIZE / 2, SIZE / 2]),
  );
  const draw = $derived(geoPath(projection));
  /** The latest of each hearer on each band. */
  const latest = $derived(
    [
      ...new Map(
        [...(all ?? [])]
          .reverse()
          .map((one) => [`${one.report.hearer} ${Math.round(one.report.frequencyHz / 1e6)}`, one] as const),
      ).values(),
    ].sort((a, b) => (b.km ?? 0) - (a.km ?? 0)),
  );

  // In a storm the air moves many times a second; who hears us is read now and then.
  $effect(() => {
    const positionId = positions.here?.id;
    read(positionId);
    const timer = setInterval(() => read(positionId), EVERY_MS);
    return () => clearInterval(timer);
  });

  function read(positionId: number | undefined) {
    got(api.GET('/api/onair/us', { params: { query: { positionId } } })).then(
      (found) => {
        all = found;
        problem = '';
      },
      (e: unknown) => (problem = e instanceof Problem ? e.message : texts.yokebarDoesNotAnswer),
    );
  }
</script>

{#if problem}<p class="trouble" role="alert">{problem}</p>{/if}
{#if all === undefined}
  <p class="muted">{texts.readingWhoHearsUs}</p>
{:else if latest.length === 0}
  <p class="muted">
    {texts.nobodyHasReportedOurSignal}
  </p>
{:else}
  <div class="us">
    <table class="list">
      <thead>
        <tr
          ><th>{texts.who}</th><th>{texts.where}</th><th class="number">{texts.away}</th><th class="number"
            >kHz</th
          ><th class="number">dB</th><th>{texts.when}</th></tr
        >
      </thead>
      <tbody>
        {#each latest as one (one.report.hearer + one.report.frequencyHz)}
          <tr>
            <td class="mono">{one.report.hearer}{one.report.automatic ? '' : ' (person)'}</td>
            <td>{one.entity ?? ''}</td>
            <td class="number">{one.km === undefined ? '' : distance(one.km)}</td>
            <td class="mono number">{kiloHertz(one.report.frequencyHz)}</td>
            <td class="mono number">{one.report.snrDb ?? ''}</td>
            <td class="muted">{ago(one.report.at, clock.now)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
    <svg width={SIZE} height={SIZE} role="img" aria-label={texts.whoHearsUsSeenFrom}>
      <World {draw} {path} />
      {#each latest as one (one.report.hearer + one.report.frequencyHz)}
        {#if one.latitudeDegrees !== undefined && one.longitudeDegrees !== undefined}
          {@const at = projection([one.longitudeDegrees, one.latitudeDegrees]) ?? [0, 0]}
          <path
            class="way"
            d={draw({ type: 'LineString', coordinates: [home, [one.longitudeDegrees, one.latitudeDegrees]] })}
          />
          <path class="hearer" transform={`translate(${at[0]} ${at[1]})`} d="M-4 3L0 -4L4 3Z"
            ><title>{one.report.hearer}</title></path
          >
        {/if}
      {/each}
      <rect class="home" x={SIZE / 2 - 4} y={SIZE / 2 - 4} width="8" height="8" />
    </svg>
  </div>
{/if}

<style>
  .us {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 32px;
    align-items: start;
  }

  .us :global(svg) {
    max-width: 100%;
    height: auto;
  }

  td,
  th {
    height: 30px;
  }

  .number {
    text-align: right;
  }

  .way {
    fill: none;
    stroke: var(--yb-accent);
    stroke-width: 1.5;
  }

  .hearer {
    fill: var(--yb-ink);
  }

  .home {
    fill: var(--yb-accent);
  }

  @container (max-width: 960px) {
    .us {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
