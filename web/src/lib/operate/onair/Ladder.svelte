<script lang="ts">
  import { kiloHertz } from '../../platform/shared/format';
  import { fitted, layOut, nearEdge, within, zoomed, type Stretch } from './ladder';
  import LadderScale from './LadderScale.svelte';
  import { memory, remembered } from '../../platform/shared/memory';
  import { OnAirStore } from './on-air.svelte';
  import { BandPlanStore } from '../../sources/radio/band-plan.svelte';
  import { RadioStore } from '../../sources/radio/radios.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  let { band, onclose }: { band: string; onclose?: () => void } = $props();
  const onAir = useStore(OnAirStore);
  const bandPlan = useStore(BandPlanStore);
  const radios = useStore(RadioStore);

  const ROW = 15;
  const LABEL = 76;
  const AXIS = 58;
  const KEPT = 'yokebar-ladder-';

  const air = $derived(onAir.air);
  const plan = $derived(bandPlan.bands.find((b) => b.name === band));
  const whole = $derived<Stretch>({ lowHz: plan?.lowHz ?? 14_000_000, highHz: plan?.highHz ?? 14_350_000 });
  let seen = $state.raw<Stretch | undefined>(undefined);
  let following = $state(false);
  let width = $state(300);
  let height = $state(500);
  let dragged = $state.raw<{ y: number; from: Stretch } | undefined>(undefined);

  const stretch = $derived(seen ?? whole);
  const here = $derived(air.spots.filter((spot) => spot.band === band));
  const columns = $derived(Math.max(1, Math.floor((width - AXIS - 24) / LABEL)));
  const layout = $derived(layOut(here, stretch, height, columns, ROW));
  const radio = $derived(radios.chosen?.now);
  const dial = $derived(radio && radio.band === band ? radio.frequencyHz : undefined);

  $effect(() => {
    const kept = remembered<{ seen?: Stretch; following: boolean }>(memory, KEPT + band, {
      following: false,
    });
    ({ seen, following } = kept);
  });
  $effect(() => {
    if (
      following &&
      dial !== undefined &&
      (dial < stretch.lowHz || dial > stretch.highHz || nearEdge(dial, stretch, whole))
    ) {
      const half = (stretch.highHz - stretch.lowHz) / 2;
      seen = within({ lowHz: dial - half, highHz: dial + half }, whole);
    }
  });

  function show(next: Stretch | undefined) {
    seen = next;
    memory.setItem(KEPT + band, JSON.stringify({ seen: next, following }));
  }

  function follow() {
    following = !following;
    memory.setItem(KEPT + band, JSON.stringify({ seen, following }));
  }

  const hzAt = (offset: number) =>
    stretch.lowHz + ((height - offset) / height) * (stretch.highHz - stretch.lowHz);
  const zoom = (by: number, around = dial ?? (stretch.lowHz + stretch.highHz) / 2) =>
    show(zoomed(stretch, whole, by, Math.max(stretch.lowHz, Math.min(stretch.highHz, around))));

  function onwheel(event: WheelEvent) {
    event.preventDefault();
    zoom(event.deltaY > 0 ? 1.25 : 0.8, hzAt(event.offsetY));
  }

  function onpointerdown(event: PointerEvent) {
    dragged = { y: event.clientY, from: stretch };
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
  }

  function onpointermove(event: PointerEvent) {
    if (dragged) {
      const hz = ((event.clientY - dragged.y) / height) * (dragged.from.highHz - dragged.from.lowHz);
      seen = within({ lowHz: dragged.from.lowHz + hz, highHz: dragged.from.highHz + hz }, whole);
    }
  }

  function onpointerup(event: PointerEvent) {
    if (dragged && Math.abs(event.clientY - dragged.y) < 3) {
      void radios.tune({ frequencyHz: Math.round(hzAt(event.offsetY) / 100) * 100 });
    } else {
      show(seen);
    }
    dragged = undefined;
  }

  function onkeydown(event: KeyboardEvent) {
    const step = (stretch.highHz - stretch.lowHz) * 0.1;
    if (['+', '='].includes(event.key)) {
      zoom(0.7);
    } else if (event.key === '-') {
      zoom(1.4);
    } else if (event.key === 'ArrowUp') {
      show(within({ lowHz: stretch.lowHz + step, highHz: stretch.highHz + step }, whole));
    } else if (event.key === 'ArrowDown') {
      show(within({ lowHz: stretch.lowHz - step, highHz: stretch.highHz - step }, whole));
    } else {
      return;
    }
    event.preventDefault();
  }
</script>

<section class="ladder" aria-label={texts.ladderBand(band)}>
  <header>
    <strong>{band.replace(/(c?m)$/, '\u2009$1')}</strong>
    <span
      class="muted"
      title={layout.hidden.length > 0
        ? texts.withoutRoomForTheirCalls(layout.hidden.length)
        : texts.stationsValue(here.length)}
      >{here.length}{layout.hidden.length > 0 ? texts.unnamedValue(layout.hidden.length) : ''}</span
    >
    <div class="keys">
      <button onclick={() => zoom(0.6)} aria-label={texts.closerOnBand(band)}>+</button>
      <button onclick={() => zoom(1.6)} aria-label={texts.furtherOnBand(band)}>−</button>
      <button onclick={() => show(fitted(here, whole))} title={texts.showAllStations}>{texts.fit}</button>
      <button aria-pressed={following} onclick={follow} title={texts.radioInView}>{texts.follow}</button>
      {#if onclose}<button onclick={onclose} aria-label={texts.closeTheLadderOf(band)}>×</button>{/if}
    </div>
  </header>
  <div class="sheet" bind:clientWidth={width} bind:clientHeight={height}>
    <LadderScale {band} {stretch} {width} {height} {layout} {dial} axis={AXIS} label={LABEL} />
    <!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
    <div
      class="axis"
      style:width={`${AXIS}px`}
      tabindex="0"
      role="application"
      aria-label={texts.dialOfPlusAndMinus(band)}
      {onwheel}
      {onpointerdown}
      {onpointermove}
      {onpointerup}
      {onkeydown}
    ></div>
    {#each layout.rungs as rung (rung.spot.id)}
      <button
        class="label mono"
        class:wanted={rung.spot.wants.length > 0 || rung.spot.watched}
        class:worked={rung.spot.workedHere && !rung.spot.contest}
        class:selected={rung.spot.id === air.selected}
        style:left={`${AXIS + 24 + rung.column * LABEL}px`}
        style:top={`${rung.labelY - ROW / 2}px`}
        title={`${kiloHertz(rung.spot.frequencyHz)} kHz · ${rung.spot.why}`}
        onclick={() => void onAir.goTo(rung.spot.id)}
        >{rung.spot.watched ? '★' : rung.spot.wants.length > 0 ? '▸' : ''}{rung.spot.call}</button
      >
    {/each}
  </div>
</section>

<style>
  .ladder {
    display: flex;
    flex-direction: column;
    min-width: 0;
    min-height: 0;
  }

  header {
    display: flex;
    align-items: center;
    gap: 6px;
    height: 36px;
  }

  header .keys {
    flex-wrap: nowrap;
    gap: 2px;
    margin-left: auto;
  }

  header .keys button {
    min-width: 22px;
    height: 26px;
    padding: 0 5px;
    font-size: 12px;
  }

  strong,
  header .muted {
    white-space: nowrap;
  }

  strong {
    font-weight: 600;
  }

  .sheet {
    position: relative;
    flex: 1;
    min-height: 0;
    overflow: hidden;
    border: 1px solid var(--yb-line);
    border-radius: 4px;
    background: var(--yb-panel);
  }

  .axis {
    position: absolute;
    top: 0;
    bottom: 0;
    left: 0;
    cursor: ns-resize;
    touch-action: none;
  }

  .label {
    position: absolute;
    width: 74px;
    height: 15px;
    padding: 0 2px;
    overflow: hidden;
    border: 0;
    background: var(--yb-panel);
    color: var(--yb-ink-2);
    font-size: 11px;
    line-height: 15px;
    text-align: left;
    text-overflow: ellipsis;
    white-space: nowrap;
    cursor: pointer;
  }

  .label:hover,
  .label.selected {
    background: var(--yb-selected);
    color: var(--yb-ink);
  }

  .label.wanted {
    color: var(--yb-ink);
    font-weight: 600;
  }

  .label.worked {
    text-decoration: line-through;
  }
</style>
