<script lang="ts">
  import { geoEquirectangular, geoPath } from 'd3-geo';
  import { distance, utcMinute } from '../../platform/shared/format';
  import { beamLine } from '../../platform/map/map';
  import World from '../../platform/map/World.svelte';
  import { PartnerStore } from './partner.svelte';
  import { PositionStore } from '../../station/position/positions.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { PathStore } from '../../platform/map/path.svelte';
  import { RotorStore } from '../../sources/rotor/rotors.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const partner = useStore(PartnerStore);
  const positions = useStore(PositionStore);
  const navigation = useStore(Navigation);
  const path = useStore(PathStore);
  const rotors = useStore(RotorStore);

  const WIDTH = 720;
  const HEIGHT = 300;
  const here = $derived(positions.here);
  const home = $derived(
    here?.longitudeDegrees !== undefined && here.latitudeDegrees !== undefined
      ? ([here.longitudeDegrees, here.latitudeDegrees] as [number, number])
      : undefined,
  );
  const projection = $derived(
    geoEquirectangular()
      .rotate([home ? -home[0] : 0, 0])
      .scale(WIDTH / (2 * Math.PI))
      .translate([WIDTH / 2, HEIGHT / 2 + 14]),
  );
  const draw = $derived(geoPath(projection));
  const heading = $derived(rotors.chosen?.headingDegrees);
  const there = $derived(partner.view?.whereabouts);
  const way = $derived(there?.path);
  const far = $derived(
    there ? ([there.longitudeDegrees, there.latitudeDegrees] as [number, number]) : undefined,
  );
  /** Where only the entity is known, all that follows is rough. */
  const about = $derived(there?.source === 'ENTITY' ? '≈ ' : '');

  const dot = (at: [number, number]) => projection(at) ?? [0, 0];
</script>

<section class="map" aria-label={texts.pathMap}>
  <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={texts.worldWithNightBeamAnd}>
    <World {draw} {path} />
    {#if home && heading !== undefined}
      <path class="beam" d={draw(beamLine(home, heading))} />
    {/if}
    {#if home && far && way}
      <path class="long" d={draw(beamLine(home, way.longPathDegrees))} />
      <path class="path" d={draw({ type: 'LineString', coordinates: [home, far] })} />
      <circle class="far" cx={dot(far)[0]} cy={dot(far)[1]} r="4" />
    {/if}
    {#if home}
      <rect class="home" x={dot(home)[0] - 4} y={dot(home)[1] - 4} width="8" height="8" />
    {/if}
  </svg>
  <div class="caption">
    {#if there && way}
      <span class="mono" title={there.source === 'ENTITY' ? texts.theMiddleOfTheEntity : texts.byItsLocator}
        >{there.locator ?? texts.entity}</span
      >
      <span>{about}{distance(way.distanceKm)}</span>
      <span class="muted">
        {texts.sunToUtcByThe(
          there.sunrise ? utcMinute(there.sunrise) : '—',
          there.sunset ? utcMinute(there.sunset) : '—',
          there.sunTime,
        )}
      </span>
      {#if way.greyLine}<span class="grey">{texts.onTheGreyLine}</span>{/if}
      {#if rotors.chosen}
        <div class="keys">
          <button
            title={texts.bOrAltBWhile}
            onclick={() => rotors.point(Math.round(way.bearingDegrees) % 360)}
            >{texts.beamBearingDegrees(Math.round(way.bearingDegrees) % 360)}</button
          >
          <button
            title={texts.shiftBOrAltShift}
            onclick={() => rotors.point(Math.round(way.longPathDegrees) % 360)}
            >{texts.longLongPathDegrees(Math.round(way.longPathDegrees) % 360)}</button
          >
        </div>
      {:else}
        <span class="mono">{Math.round(way.bearingDegrees) % 360}°</span>
      {/if}
    {:else if !home}
      <span class="muted">
        {texts.giveThisPositionAPlace}
        <button class="more" onclick={() => navigation.open({ of: 'position' })}
          >{texts.chooseThePlace}</button
        >
      </span>
    {:else}
      <span class="muted">{texts.typeACallOrChoose}</span>
    {/if}
  </div>
</section>

<style>
  svg {
    display: block;
    width: 100%;
    border: 1px solid var(--yb-line);
    border-radius: 4px;
  }

  .path {
    fill: none;
    stroke: var(--yb-accent);
    stroke-width: 2;
  }

  .long {
    fill: none;
    stroke: var(--yb-accent);
    stroke-dasharray: 2 5;
  }

  .beam {
    fill: none;
    stroke: var(--yb-ink-2);
    stroke-dasharray: 6 4;
  }

  .far {
    fill: var(--yb-accent);
  }

  .home {
    fill: var(--yb-ink);
  }

  .caption {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 16px;
    align-items: center;
    min-height: 36px;
    padding-top: 4px;
  }

  .grey {
    font-weight: 600;
  }

  .caption .keys {
    margin-left: auto;
  }
</style>
