<script lang="ts">
  import type { Rotor } from '../../platform/api/client';
  import { useStore } from '../../platform/page/stores';
  import { deadArcs, headingOf, onCircle } from './compass';
  import { RotorStore } from './rotors.svelte';
  import { texts } from './texts';

  interface Props {
    rotor: Rotor;
    /** Where the antenna points, degrees true. */
    heading: number;
    /** Where it turns to, degrees true, while it turns. */
    target: number | undefined;
  }

  let { rotor, heading, target }: Props = $props();

  const rotors = useStore(RotorStore);
  const aim = $derived(target ?? heading);

  const POINTS = [
    { label: 'N', degrees: 0 },
    { label: 'E', degrees: 90 },
    { label: 'S', degrees: 180 },
    { label: 'W', degrees: 270 },
  ];

  function onclick(event: MouseEvent) {
    const box = (event.currentTarget as Element).getBoundingClientRect();
    void rotors.point(
      headingOf(event.clientX - box.left - box.width / 2, event.clientY - box.top - box.height / 2),
    );
  }

  function onkeydown(event: KeyboardEvent) {
    const step = { ArrowRight: 5, ArrowUp: 1, ArrowLeft: -5, ArrowDown: -1 }[event.key];
    if (step !== undefined) {
      event.preventDefault();
      void rotors.point((Math.round(aim) + step + 360) % 360);
    } else if (event.key === 's') {
      void rotors.stop();
    }
  }
</script>

<svg
  viewBox="-100 -100 200 200"
  role="slider"
  tabindex="0"
  aria-label={texts.headingDegreesClickToTurn}
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
    <rect class="stop" x={stop.x - 3} y={stop.y - 3} width="6" height="6"><title>{texts.theStop}</title></rect
    >
  {/if}
  {#each deadArcs(rotor.deadZones, 74, 84) as zone (zone)}
    <path class="dead" d={zone}><title>{texts.aDeadZoneNeverPointed}</title></path>
  {/each}
  {#if target !== undefined}
    {@const to = onCircle(target, 84)}
    <line class="target" x1="0" y1="0" x2={to.x} y2={to.y} />
  {/if}
  <g transform={`rotate(${heading})`}>
    <path class="beam" d="M -9 0 L 0 -82 L 9 0 L 0 12 Z" />
  </g>
</svg>

<style>
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
</style>
