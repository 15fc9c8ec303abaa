<script lang="ts">
  import { rowStep, rowWindow } from '../../log/row-window';
  import SpotRow from './SpotRow.svelte';
  import { OnAirStore } from './on-air.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const onAir = useStore(OnAirStore);

  const ROW = 30;

  const air = $derived(onAir.air);
  let scroller = $state<HTMLDivElement | null>(null);
  let scrollTop = $state(0);
  let viewHeight = $state(400);
  let pointed = $state(false);
  let focused = $state(false);

  const view = $derived(rowWindow(scrollTop, viewHeight, air.spots.length, ROW));
  const shown = $derived(air.spots.slice(view.first, view.end));
  const maxAge = $derived(air.filter.maxAgeMinutes ?? 30);

  /** Nothing moves under the pointer, or under the choice of the keyboard. */
  $effect(() => air.hold(pointed || focused || scrollTop > ROW / 2));
  $effect(() => {
    void air.spots;
    void air.selected;
    if (!pointed) {
      showChosen();
    }
  });

  /** The chosen station is always in sight. */
  function showChosen() {
    const at = air.spots.findIndex((spot) => spot.id === air.selected);
    if (at >= 0 && scroller) {
      const top = at * ROW;
      if (top < scroller.scrollTop || top + ROW > scroller.scrollTop + viewHeight) {
        scroller.scrollTop = Math.max(0, top - viewHeight / 3);
      }
    }
  }

  function onkeydown(event: KeyboardEvent) {
    const spot = air.chosen;
    const page = Math.max(1, Math.floor(viewHeight / ROW) - 1);
    const step = rowStep(event.key, page, air.spots.length);
    if (step !== undefined) {
      air.step(step);
      showChosen();
    } else if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
      // The program transmits then: only on purpose, and not by a key that is held down.
      if (spot?.answers && !event.repeat) {
        void onAir.goTo(spot.id, true);
      }
    } else if (event.key === 'Enter' && spot) {
      void onAir.goTo(spot.id);
    } else if (event.key === 'x' && spot) {
      void air.strike(spot.id);
    } else {
      return;
    }
    event.preventDefault();
    event.stopPropagation();
  }

  function settle() {
    if (scroller) {
      scroller.scrollTop = 0;
    }
    pointed = false;
    air.hold(false);
  }
</script>

<section class="spots" aria-label={texts.stationsOnTheAir}>
  <div class="heads" aria-hidden="true">
    <span title={texts.everThisBandThisMode}>{texts.need}</span><span>{texts.call}</span><span class="number"
      >kHz</span
    >
    <span class="wide">{texts.mode}</span><span title={onAir.contest ? texts.byScoreAndChance : undefined}
      >{onAir.contest ? texts.scoreAndWhy : texts.why}</span
    ><span class="number wide">{texts.heardBy}</span>
    <span class="number wide">dB</span><span>{texts.heard}</span>
  </div>
  {#if air.waiting > 0}
    <button class="waiting" onclick={settle}>{texts.newShowThem(air.waiting)}</button>
  {/if}
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div
    class="scroller"
    tabindex="0"
    role={shown.length > 0 ? 'listbox' : 'group'}
    aria-label={texts.stationsArrowKeysChooseEnter}
    aria-activedescendant={air.selected !== undefined ? `spot-${air.selected}` : undefined}
    bind:this={scroller}
    bind:clientHeight={viewHeight}
    onscroll={() => (scrollTop = scroller?.scrollTop ?? 0)}
    onpointerenter={() => (pointed = true)}
    onpointerleave={() => (pointed = false)}
    onfocusin={() => (focused = true)}
    onfocusout={() => (focused = false)}
    {onkeydown}
  >
    <div style:height={`${view.height}px`} class="all">
      {#each shown as spot, i (spot.id)}
        <SpotRow
          {spot}
          {maxAge}
          top={(view.first + i) * ROW}
          selected={spot.id === air.selected}
          onclick={() => void onAir.goTo(spot.id)}
        />
      {/each}
    </div>
    {#if air.spots.length === 0}
      <p class="empty muted">
        {#if air.loading}{texts.readingWhatIsOnThe}
        {:else if air.onAir > 0 && onAir.contest}{texts.noneCountsIn(air.onAir, onAir.contest.name)}
        {:else if air.onAir > 0}{texts.noneOfTheStationsOn(air.onAir)}
        {:else}{texts.nobodyIsHeardYetConnect}
          <a href="#/hookups">{texts.hookups}</a>.{/if}
      </p>
    {/if}
  </div>
</section>

<style>
  .spots {
    --spot-columns: 52px 84px 70px 38px minmax(120px, 1fr) 138px 26px 78px;

    display: flex;
    flex-direction: column;
    min-width: 0;
    min-height: 0;
    position: relative;
  }

  .heads {
    display: grid;
    grid-template-columns: var(--spot-columns);
    column-gap: 8px;
    align-items: center;
    height: 28px;
    padding-right: 12px;
    border-bottom: 1px solid var(--yb-line);
    color: var(--yb-ink-2);
    font-size: 12px;
  }

  .number {
    text-align: right;
  }

  .scroller {
    flex: 1;
    min-height: 0;
    overflow-y: scroll;
    scrollbar-width: thin;
    overflow-anchor: none;
  }

  .all {
    position: relative;
  }

  .waiting {
    position: absolute;
    /* In the row of headings, so that it hides no station. */
    top: 1px;
    left: 50%;
    z-index: 2;
    transform: translateX(-50%);
    height: 26px;
    padding: 0 16px;
    border: 1px solid var(--yb-accent);
    border-radius: 13px;
    background: var(--yb-raised);
    color: var(--yb-ink);
    font: inherit;
    cursor: pointer;
  }

  .empty {
    padding: 24px 8px;
  }

  @container (max-width: 760px) {
    .spots {
      --spot-columns: 52px 84px 70px minmax(100px, 1fr) 78px;
    }

    .wide {
      display: none;
    }
  }

  @container (max-width: 460px) {
    .spots {
      --spot-columns: 48px 72px 64px minmax(40px, 1fr) 36px;
    }

    .heads {
      column-gap: 6px;
    }
  }
</style>
