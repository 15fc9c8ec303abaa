<script lang="ts">
  import type { AppState } from '../frame/app.svelte';
  import NeedMark from '../partner/NeedMark.svelte';
  import { clock } from '../shared/clock.svelte';
  import { kiloHertz } from '../shared/format';
  import { rowWindow } from '../log/row-window';
  import { age, freshness, heardBy } from './words';

  let { app }: { app: AppState } = $props();

  const ROW = 30;

  const air = $derived(app.air);
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
    const step = {
      ArrowDown: 1,
      ArrowUp: -1,
      PageDown: page,
      PageUp: -page,
      Home: -air.spots.length,
      End: air.spots.length,
    }[event.key];
    if (step !== undefined) {
      air.step(step);
      showChosen();
    } else if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
      // The program transmits then: only on purpose, and not by a key that is held down.
      if (spot?.answers && !event.repeat) {
        void app.goToSpot(spot.id, true);
      }
    } else if (event.key === 'Enter' && spot) {
      void app.goToSpot(spot.id);
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

<section class="spots" aria-label="Stations on the air">
  <div class="heads" aria-hidden="true">
    <span title="ever, this band, this mode">Need</span><span>Call</span><span class="number">kHz</span>
    <span class="wide">Mode</span><span>Why</span><span class="number wide">Heard by</span>
    <span class="number wide">dB</span><span>Heard</span>
  </div>
  {#if air.waiting > 0}
    <button class="waiting" onclick={settle}>{air.waiting} new · show them</button>
  {/if}
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div
    class="scroller"
    tabindex="0"
    role={shown.length > 0 ? 'listbox' : 'group'}
    aria-label="Stations; arrow keys choose, Enter goes there, Control and Enter answer a decode, x hides"
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
        <div
          id={`spot-${spot.id}`}
          class="row"
          class:selected={spot.id === air.selected}
          class:doubted={spot.doubt}
          style:top={`${(view.first + i) * ROW}px`}
          role="option"
          aria-selected={spot.id === air.selected}
          tabindex="-1"
          onclick={() => void app.goToSpot(spot.id)}
          onkeydown={() => undefined}
          data-spot={spot.call}
        >
          <span
            >{#if spot.mark}<NeedMark mark={spot.mark} size={13} />{/if}</span
          >
          <span class="mono call" title={spot.entity}>{spot.watched ? '★ ' : ''}{spot.call}</span>
          <span class="mono number">{kiloHertz(spot.frequencyHz)}</span>
          <span class="wide">{spot.mode ?? '?'}</span>
          <span class="said">
            <span class="why" title={`${spot.why}${spot.comment ? ` · “${spot.comment}”` : ''}`}>
              {#if spot.wants.length > 0 || spot.watched}<strong>{spot.why}</strong>{:else}{spot.entity ??
                  spot.why}{/if}
              {#if spot.comment}<q>{spot.comment}</q>{/if}
            </span>
            <span class="muted ears wide" title={heardBy(spot)}
              ><span>{spot.hearers > 1 ? `${spot.hearers} · ` : ''}{heardBy(spot)}</span></span
            >
          </span>
          <span class="mono number wide">{spot.snrDb ?? ''}</span>
          <span class="age" title={`heard ${age(spot, clock.now)} ago`}>
            <span class="bar" style:width={`${Math.round(freshness(spot, clock.now, maxAge) * 36)}px`}></span>
            <span class="muted">{age(spot, clock.now)}</span>
          </span>
        </div>
      {/each}
    </div>
    {#if air.spots.length === 0}
      <p class="empty muted">
        {#if air.loading}Reading what is on the air…
        {:else if air.onAir > 0}None of the {air.onAir} stations on the air passes the filter. Take a phrase out
          of the sentence above.
        {:else}Nobody is heard yet. Connect a cluster node, a skimmer feed or a digital program under
          <a href="#/hookups">Hookups</a>.{/if}
      </p>
    {/if}
  </div>
</section>

<style>
  .spots {
    display: flex;
    flex-direction: column;
    min-width: 0;
    min-height: 0;
    position: relative;
  }

  .heads,
  .row {
    display: grid;
    grid-template-columns: 52px 84px 70px 38px minmax(120px, 1fr) 138px 26px 78px;
    column-gap: 8px;
    align-items: center;
  }

  .heads {
    height: 28px;
    padding-right: 12px;
    border-bottom: 1px solid var(--yb-line);
    color: var(--yb-ink-2);
    font-size: 12px;
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

  .row {
    position: absolute;
    left: 0;
    right: 0;
    height: 30px;
    border-bottom: 1px solid var(--yb-line);
    cursor: pointer;
    white-space: nowrap;
  }

  .row:hover {
    background: var(--yb-hover);
  }

  .row.selected {
    background: var(--yb-selected);
    box-shadow: inset 3px 0 0 var(--yb-accent);
  }

  .row.doubted .call {
    text-decoration: line-through;
  }

  .row > span,
  .why,
  .ears > span {
    overflow: hidden;
    text-overflow: ellipsis;
  }

  .row > span:first-child {
    padding-left: 6px;
  }

  .call {
    font-weight: 600;
  }

  .number {
    text-align: right;
  }

  .why strong {
    font-weight: 500;
  }

  q {
    margin-left: 6px;
    color: var(--yb-ink-2);
  }

  /* Why it is wanted may take what who heard it leaves. */
  .said {
    display: flex;
    grid-column: span 2;
    gap: 8px;
    align-items: baseline;
  }

  .why {
    flex: 1 1 auto;
    min-width: 0;
  }

  .ears {
    flex: 0 1000 138px;
    font-size: 12px;
  }

  .ears > span {
    display: block;
    max-width: 160px;
    margin-left: auto;
    text-align: right;
  }

  .age {
    display: flex;
    align-items: center;
    gap: 6px;
    font-size: 12px;
  }

  .bar {
    flex: none;
    height: 4px;
    background: var(--yb-ink-2);
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
    .heads,
    .row {
      grid-template-columns: 52px 84px 70px minmax(100px, 1fr) 78px;
    }

    .said {
      grid-column: auto;
    }

    .wide {
      display: none;
    }
  }

  @container (max-width: 460px) {
    .heads,
    .row {
      grid-template-columns: 48px 72px 64px minmax(40px, 1fr) 36px;
      column-gap: 6px;
    }

    .bar {
      display: none;
    }
  }
</style>
