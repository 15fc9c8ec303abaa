<script lang="ts">
  import type { AppState } from '../frame/app.svelte';
  import { deadArcs, headingOf, onCircle, opposite } from './compass';

  let { app }: { app: AppState } = $props();

  const rotor = $derived(app.rotors.chosen);
  const hookup = $derived(app.hookups.all.find((h) => h.id === rotor?.hookup));
  const heading = $derived(rotor?.headingDegrees);
  const target = $derived(rotor?.targetDegrees);
  const aim = $derived(target ?? heading ?? 0);
  let typed = $state('');
  let typedElevation = $state('');

  const POINTS = [
    { label: 'N', degrees: 0 },
    { label: 'E', degrees: 90 },
    { label: 'S', degrees: 180 },
    { label: 'W', degrees: 270 },
  ];

  function onclick(event: MouseEvent) {
    const box = (event.currentTarget as Element).getBoundingClientRect();
    void app.rotors.point(
      headingOf(event.clientX - box.left - box.width / 2, event.clientY - box.top - box.height / 2),
    );
  }

  function onkeydown(event: KeyboardEvent) {
    const step = { ArrowRight: 5, ArrowUp: 1, ArrowLeft: -5, ArrowDown: -1 }[event.key];
    if (step !== undefined) {
      event.preventDefault();
      void app.rotors.point((Math.round(aim) + step + 360) % 360);
    } else if (event.key === 's') {
      void app.rotors.stop();
    }
  }

  function go() {
    const degrees = Number(typed);
    if (typed !== '' && degrees >= 0 && degrees <= 360) {
      void app.rotors.point(degrees);
      typed = '';
    }
  }

  function raise() {
    if (typedElevation !== '') {
      void app.rotors.raise(Number(typedElevation));
      typedElevation = '';
    }
  }
</script>

<section class="rotor" aria-label="Rotator">
  <header>
    {#if app.rotors.all.length > 1}
      <select
        aria-label="Rotator"
        value={rotor?.id}
        onchange={(event) => app.rotors.choose(Number(event.currentTarget.value))}
      >
        {#each app.rotors.all as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
      </select>
    {:else}
      <h2>{rotor?.name ?? 'Rotator'}</h2>
    {/if}
    {#if heading !== undefined}
      <span class="mono now" data-testid="heading">{Math.round(heading) % 360}°</span>
      {#if rotor?.elevationDegrees !== undefined}<span class="mono" data-testid="elevation"
          >up {Math.round(rotor.elevationDegrees)}°</span
        >{/if}
      {#if target !== undefined}<span class="muted" role="status"
          >turning to {Math.round(target) % 360}°{rotor?.arrivesInSeconds
            ? `, there in ${rotor.arrivesInSeconds} s`
            : ''}</span
        >{/if}
    {/if}
  </header>
  {#if !rotor}
    <p class="muted">No rotator yet. <a href="#/first-steps">Connect one</a>.</p>
  {:else if heading === undefined}
    <p class="fault">
      {#if hookup?.state === 'TROUBLE'}<strong>{hookup.reason}</strong>
        {hookup.fix}{:else if hookup?.state === 'OFF'}{rotor.name}
        is switched off here.{:else}Connecting to {rotor.name}…{/if}
      <button class="more" onclick={() => app.showHookup(rotor.hookup)}>More</button>
    </p>
  {:else}
    <div class="body">
      <svg
        viewBox="-100 -100 200 200"
        role="slider"
        tabindex="0"
        aria-label="Heading, degrees. Click to turn; arrow keys turn by 1 and 5 degrees, s stops."
        aria-valuemin="0"
        aria-valuemax="359"
        aria-valuenow={Math.round(heading)}
        {onclick}
        {onkeydown}
      >
        <circle class="rose" r="84" />
        {#each Array.from({ length: 36 }, (_, i) => i * 10) as degrees (degrees)}
          {@const outer = onCircle(degrees, 84)}
          {@const inner = onCircle(degrees, degrees % 30 === 0 ? 74 : 79)}
          <line class="tick" x1={outer.x} y1={outer.y} x2={inner.x} y2={inner.y} />
        {/each}
        {#each POINTS as { label, degrees } (label)}
          {@const at = onCircle(degrees, 93)}
          <text class="point" x={at.x} y={at.y + 4}>{label}</text>
        {/each}
        {#if rotor.travelDegrees <= 360}
          {@const stop = onCircle(rotor.stopDegrees + rotor.mountOffsetDegrees, 80)}
          <rect class="stop" x={stop.x - 3} y={stop.y - 3} width="6" height="6"><title>The stop</title></rect>
        {/if}
        {#each deadArcs(rotor.deadZones, 74, 84) as zone (zone)}
          <path class="dead" d={zone}><title>A dead zone: never pointed to</title></path>
        {/each}
        {#if target !== undefined}
          {@const to = onCircle(target, 84)}
          <line class="target" x1="0" y1="0" x2={to.x} y2={to.y} />
        {/if}
        <g transform={`rotate(${heading})`}>
          <path class="beam" d="M -9 0 L 0 -82 L 9 0 L 0 12 Z" />
        </g>
      </svg>
      <div class="side">
        <div class="typed">
          <label>
            <span class="muted">Turn to</span>
            <input
              class="mono"
              inputmode="numeric"
              bind:value={typed}
              onkeydown={(e) => e.key === 'Enter' && go()}
            />
          </label>
          {#if rotor.elevationDegrees !== undefined}
            <label>
              <span class="muted">Raise to</span>
              <input
                class="mono"
                inputmode="numeric"
                bind:value={typedElevation}
                onkeydown={(e) => e.key === 'Enter' && raise()}
              />
            </label>
          {/if}
        </div>
        <div class="keys">
          <button onclick={() => app.rotors.point(opposite(Math.round(aim)))}>Long path</button>
          <button onclick={() => app.rotors.stop()}>Stop</button>
        </div>
        {#if rotor.presets.length > 0}
          <div class="keys" role="group" aria-label="Headings">
            {#each rotor.presets as preset (preset.name)}
              <button
                title={`${preset.headingDegrees}°`}
                onclick={() => app.rotors.point(preset.headingDegrees)}>{preset.name}</button
              >
            {/each}
          </div>
        {/if}
      </div>
    </div>
    {#if hookup?.state === 'TROUBLE'}
      <p class="fault"><strong>{hookup.reason}</strong> {hookup.fix}</p>
    {/if}
  {/if}
  {#if app.rotors.problem}<p class="trouble" role="alert">{app.rotors.problem}</p>{/if}
</section>

<style>
  header {
    display: flex;
    align-items: baseline;
    gap: 12px;
  }

  .now {
    font-size: 24px;
    font-weight: 600;
  }

  .body {
    display: flex;
    flex-wrap: wrap;
    gap: 16px;
    align-items: center;
  }

  svg {
    flex: none;
    width: 208px;
    height: 208px;
    cursor: crosshair;
    border-radius: 50%;
  }

  .rose {
    fill: var(--yb-panel);
    stroke: var(--yb-line-strong);
  }

  .tick {
    stroke: var(--yb-line-strong);
  }

  .point {
    fill: var(--yb-ink-2);
    font-size: 12px;
    text-anchor: middle;
  }

  .stop {
    fill: var(--yb-ink-2);
  }

  .dead {
    fill: var(--yb-line-strong);
    fill-opacity: 0.6;
  }

  .target {
    stroke: var(--yb-accent);
    stroke-width: 2;
    stroke-dasharray: 4 4;
  }

  .beam {
    fill: var(--yb-accent);
  }

  .side {
    display: flex;
    flex: 1 1 160px;
    flex-direction: column;
    gap: 8px;
    align-items: flex-start;
  }

  .typed {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }

  label {
    display: flex;
    flex-direction: column;
    font-size: 12px;
  }

  input {
    width: 72px;
    height: 32px;
    border: 0;
    border-bottom: 1px solid var(--yb-line-strong);
    background: var(--yb-raised);
    color: var(--yb-ink);
    padding: 0 8px;
  }
</style>
