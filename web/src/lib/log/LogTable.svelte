<script lang="ts">
  import { onDestroy, untrack } from 'svelte';
  import type { LogLine } from '../api/client';
  import type { AppState } from '../frame/app.svelte';
  import SealGlyph from '../shared/SealGlyph.svelte';
  import { kiloHertz, localTime, utcDate, utcMinute } from '../shared/format';
  import { STATE_NAMES, type LaneState } from '../services/lanes.svelte';
  import { rowWindow } from './row-window';

  let { app }: { app: AppState } = $props();

  const ROW_HEIGHT = 30;
  let scroller = $state<HTMLDivElement | null>(null);
  let scrollTop = $state(0);
  let viewHeight = $state(600);
  let pointed = $state(false);
  let cursor = $state(-1);

  const view = $derived(rowWindow(scrollTop, viewHeight, app.log.lines.length, ROW_HEIGHT));
  const drawn = $derived(app.log.lines.slice(view.first, view.end));

  const holding = $derived(pointed || scrollTop > ROW_HEIGHT / 2);

  $effect(() => {
    const hold = holding;
    untrack(() => app.log.hold(hold));
  });

  onDestroy(() => app.log.hold(false));

  $effect(() => {
    if (view.end >= app.log.lines.length - 20) {
      untrack(() => void app.log.loadMore());
    }
  });

  /** Goes to the newest rows. */
  export function toTop() {
    scroller?.scrollTo({ top: 0 });
  }

  function newDay(index: number): boolean {
    const line = app.log.lines[index];
    const above = app.log.lines[index - 1];
    return !!line && (!above || utcDate(above.start) !== utcDate(line.start));
  }

  function sealWords(line: LogLine): string {
    return STATE_NAMES[(line.seals[0]?.state ?? 'NOT_MEANT') as LaneState];
  }

  function onkeydown(event: KeyboardEvent) {
    const step = { ArrowDown: 1, ArrowUp: -1, PageDown: 15, PageUp: -15 }[event.key];
    if (step !== undefined) {
      event.preventDefault();
      cursor = Math.max(0, Math.min(app.log.lines.length - 1, cursor + step));
      const top = cursor * ROW_HEIGHT;
      if (scroller && (top < scroller.scrollTop || top > scroller.scrollTop + viewHeight - 2 * ROW_HEIGHT)) {
        scroller.scrollTo({ top: top - viewHeight / 2 });
      }
    } else if (event.key === 'Enter') {
      app.showContact(app.log.lines[cursor]?.id);
    }
  }
</script>

<div class="table" role="table" aria-label="Contacts" aria-rowcount={app.log.lines.length}>
  <div class="row head" role="row">
    <span role="columnheader">Date</span>
    <span role="columnheader">UTC</span>
    <span role="columnheader">Call</span>
    <span role="columnheader">Band</span>
    <span role="columnheader" class="number">kHz</span>
    <span role="columnheader">Mode</span>
    <span role="columnheader" class="report">Sent</span>
    <span role="columnheader" class="report">Rcvd</span>
    <span role="columnheader">Name</span>
    <span role="columnheader" class="country">Country</span>
    <span role="columnheader" class="locator">Locator</span>
    <span role="columnheader">Countersign</span>
  </div>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
  <div
    class="scroller"
    role="rowgroup"
    tabindex="0"
    aria-label="Rows; arrow keys move, Enter opens"
    bind:this={scroller}
    bind:clientHeight={viewHeight}
    onscroll={() => (scrollTop = scroller?.scrollTop ?? 0)}
    onpointerenter={() => (pointed = true)}
    onpointerleave={() => (pointed = false)}
    {onkeydown}
  >
    <div class="all" style:height={`${view.height}px`}>
      {#each drawn as line, i (line.id)}
        {@const index = view.first + i}
        <!-- svelte-ignore a11y_click_events_have_key_events, a11y_interactive_supports_focus -->
        <div
          class="row line"
          class:open={app.openContact === line.id}
          class:cursor={cursor === index}
          role="row"
          data-contact={line.id}
          style:top={`${index * ROW_HEIGHT}px`}
          onclick={() => {
            cursor = index;
            app.showContact(line.id);
          }}
        >
          <span role="cell" class="mono date" class:repeated={!newDay(index)}>{utcDate(line.start)}</span>
          <span role="cell" class="mono" title={localTime(line.start)}>{utcMinute(line.start)}</span>
          <span role="cell" class="mono call">{line.call}</span>
          <span role="cell">{line.band}</span>
          <span role="cell" class="mono number">{kiloHertz(line.frequencyHz)}</span>
          <span role="cell">{line.mode}</span>
          <span role="cell" class="mono report">{line.reportSent ?? ''}</span>
          <span role="cell" class="mono report">{line.reportReceived ?? ''}</span>
          <span role="cell" class="text">{line.name ?? ''}</span>
          <span role="cell" class="text country">{line.country ?? ''}</span>
          <span role="cell" class="mono locator">{line.locator ?? ''}</span>
          <span role="cell" class="seal" title={line.seals[0]?.reason ?? ''}>
            <SealGlyph state={line.seals[0]?.state ?? 'NOT_MEANT'} />
            {sealWords(line)}
          </span>
        </div>
      {/each}
    </div>
  </div>
</div>

<style>
  .table {
    container-type: inline-size;
    position: relative;
    display: flex;
    flex-direction: column;
    flex: 1;
    min-height: 0;
  }

  .row {
    display: grid;
    grid-template-columns:
      88px 48px minmax(96px, 1fr) 48px 84px 64px 48px 48px minmax(64px, 1.2fr) minmax(88px, 1.6fr)
      68px 112px;
    column-gap: 12px;
    align-items: center;
    padding: 0 24px;
  }

  .head {
    height: 28px;
    color: var(--yb-ink-2);
    font-size: 12px;
    border-bottom: 1px solid var(--yb-line);
    scrollbar-gutter: stable;
    overflow: hidden;
  }

  .scroller {
    flex: 1;
    min-height: 0;
    overflow-y: auto;
    scrollbar-gutter: stable;
    scrollbar-color: var(--yb-line-strong) transparent;
  }

  .all {
    position: relative;
  }

  .line {
    position: absolute;
    left: 0;
    right: 0;
    height: 30px;
    border-bottom: 1px solid color-mix(in srgb, var(--yb-line) 50%, transparent);
    white-space: nowrap;
    cursor: pointer;
  }

  .line:hover {
    background: var(--yb-hover);
  }

  .scroller:focus-visible .cursor {
    outline: 2px solid var(--yb-accent);
    outline-offset: -2px;
  }

  .open {
    background: var(--yb-selected);
  }

  .call {
    font-weight: 600;
  }

  .number {
    text-align: right;
  }

  .repeated {
    color: transparent;
  }

  .line:hover .repeated,
  .open .repeated {
    color: var(--yb-ink-2);
  }

  .text {
    overflow: hidden;
    text-overflow: ellipsis;
  }

  .seal {
    display: flex;
    align-items: center;
    gap: 6px;
    color: var(--yb-ink-2);
    font-size: 13px;
  }

  /* With the drawer open, or on a tablet, what the drawer tells is left out here. */
  @container (max-width: 1000px) {
    .row {
      grid-template-columns: 88px 48px minmax(96px, 1fr) 48px 84px 64px minmax(72px, 1fr) 112px;
    }

    .report,
    .country,
    .locator {
      display: none;
    }
  }
</style>
