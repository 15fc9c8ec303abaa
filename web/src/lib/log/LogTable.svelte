<script lang="ts">
  import { untrack } from 'svelte';
  import type { LogLine } from '../platform/api/client';
  import LogRow from './LogRow.svelte';
  import LogTableHead from './LogTableHead.svelte';
  import type { Chosen } from './chosen.svelte';
  import { besidesPx, column, fitting, sealsPx } from './columns';
  import { CellEdit } from './cell-edit.svelte';
  import UnsavedEdits from './UnsavedEdits.svelte';
  import { placeAt, rowsAt, rowStep, rowWindow, scrollFor } from './row-window';
  import { Navigation } from '../platform/page/navigation.svelte';
  import { LogStore } from './log.svelte';
  import { LaneStore } from '../services/delivery/lanes.svelte';
  import { LogDisplay } from './log-display.svelte';
  import { useStore } from '../platform/page/stores';
  import { texts } from './texts';

  let { chosen, onactions }: { chosen: Chosen; onactions: () => void } = $props();
  const navigation = useStore(Navigation);
  const log = useStore(LogStore);
  const lanesStore = useStore(LaneStore);
  const display = useStore(LogDisplay);

  const ROW_HEIGHT = 30;
  const OPEN_AFTER_MS = 220;
  let opening: ReturnType<typeof setTimeout> | undefined;
  let grid = $state<HTMLDivElement | null>(null);
  let scroller = $state<HTMLDivElement | null>(null);
  let scrollTop = $state(0);
  let viewHeight = $state(600);
  let width = $state(1200);
  let pointed = $state(false);
  let cursor = $state(-1);
  /** The contact the cursor stands on, which keeps it when rows come in above. */
  let cursorId = $state<number | undefined>(undefined);
  let focused = $state(false);
  const cell = new CellEdit(
    () => columns,
    () => grid?.focus(),
  );
  const edits = cell.edits;

  const lanes = $derived(lanesStore.sealed);
  const columns = $derived(fitting(display.columns.map(column), width - besidesPx(lanes.length)));
  const template = $derived(`28px ${columns.map((c) => c.width).join(' ')} ${sealsPx(lanes.length)}px`);
  const view = $derived(rowWindow(scrollTop, viewHeight, log.found, ROW_HEIGHT));
  const places = $derived(Array.from({ length: view.end - view.first }, (_, i) => view.first + i));
  /** Nothing moves under the pointer, or under the cursor of the keyboard. */
  const holding = $derived(
    pointed || scrollTop > ROW_HEIGHT / 2 || cell.editing !== undefined || (focused && cursor >= 0),
  );

  $effect(() => {
    const here = log.at(cursor)?.id;
    if (cursorId !== undefined && here !== undefined && here !== cursorId) {
      const place = places.find((p) => log.at(p)?.id === cursorId);
      untrack(() => (cursor = place ?? -1));
    }
  });

  /** Puts the cursor on the contact at a place. */
  function stand(place: number) {
    cursor = place;
    cursorId = log.at(place)?.id;
  }

  $effect(() => {
    const hold = holding;
    untrack(() => log.hold(hold));
    return () => log.hold(false);
  });

  $effect(() => {
    const { first, end } = view;
    void log.found;
    untrack(() => log.look(first, end));
  });

  /** Goes to the newest rows. */
  export function toTop() {
    scroller?.scrollTo({ top: 0 });
    stand(-1);
  }

  export function focus() {
    grid?.focus();
    stand(Math.max(cursor, 0));
  }

  async function chooseTo(place: number, extend: boolean) {
    const line = log.at(place);
    if (extend && cursor >= 0) {
      await chosen.addRange(log, cursor, place);
    } else if (line) {
      chosen.toggle(line.id);
    }
    stand(place);
  }

  function click(event: MouseEvent, place: number) {
    const line = log.at(place);
    if (event.shiftKey || event.ctrlKey || event.metaKey) {
      event.preventDefault();
      void chooseTo(place, event.shiftKey);
    } else if (line && cell.editing?.id !== line.id) {
      stand(place);
      clearTimeout(opening);
      // The drawer moves the cells aside; a second click, which edits one, must find it where it was.
      opening = setTimeout(() => navigation.showContact(line.id), OPEN_AFTER_MS);
    }
  }

  function moveTo(place: number, extend: boolean) {
    const next = Math.max(0, Math.min(log.found - 1, place));
    if (extend) {
      void chooseTo(next, true);
    }
    stand(next);
    const top = scrollFor(next, log.found, viewHeight, ROW_HEIGHT);
    if (scroller && (next < view.first + 13 || next > view.end - 14)) {
      scroller.scrollTo({ top: Math.max(0, top - viewHeight / 2) });
    }
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.target !== grid) {
      return;
    }
    const page = Math.floor(viewHeight / ROW_HEIGHT) - 1;
    const step = rowStep(event.key, page, log.found);
    const line = log.at(cursor);
    if (step !== undefined) {
      moveTo(cursor + step, event.shiftKey);
    } else if (event.key === 'Enter') {
      navigation.showContact(line?.id);
    } else if (event.key === ' ' && cursor >= 0) {
      void chooseTo(cursor, false);
    } else if (event.key === 'a' && (event.ctrlKey || event.metaKey)) {
      chosen.chooseAll(log.found);
    } else if (event.key === 'a' && (chosen.size > 0 || line) && !event.altKey) {
      if (line && chosen.size === 0) chosen.toggle(line.id);
      onactions();
    } else if (event.key === 'e' && line && !event.ctrlKey) {
      edit(line, columns.find((c) => c.editable)?.field);
    } else if (event.key === 'Escape' && chosen.size > 0) {
      chosen.clear();
      event.stopPropagation();
    } else {
      return;
    }
    event.preventDefault();
  }

  function edit(line: LogLine, field: string | undefined) {
    clearTimeout(opening);
    cell.open(line, field);
  }
</script>

<div class="sheet">
  <UnsavedEdits {edits} oncorrect={(unsaved) => cell.correct(unsaved, log.byId(unsaved.id))} />
  <div
    class="table"
    role="grid"
    tabindex="0"
    aria-label={texts.contactsArrowKeysMoveEnter}
    aria-rowcount={log.found}
    aria-multiselectable="true"
    aria-activedescendant={cursor >= 0 && log.at(cursor) ? `log-row-${log.at(cursor)?.id}` : undefined}
    style:--columns={template}
    bind:this={grid}
    onfocusin={() => {
      focused = true;
      if (cursor < 0 && grid?.matches(':focus-visible')) stand(0);
    }}
    onfocusout={() => (focused = false)}
    {onkeydown}
  >
    <LogTableHead {columns} {lanes} {chosen} onsort={toTop} />
    <div
      class="scroller"
      role="rowgroup"
      bind:this={scroller}
      bind:clientHeight={viewHeight}
      bind:clientWidth={width}
      onscroll={() => (scrollTop = scroller?.scrollTop ?? 0)}
      onpointerenter={() => (pointed = true)}
      onpointerleave={() => (pointed = false)}
    >
      <div class="all" style:height={`${view.height}px`} style:pointer-events={log.loading ? 'none' : 'auto'}>
        {#each rowsAt(places, (place) => log.at(place)) as { place, line, key } (key)}
          <LogRow
            {line}
            {place}
            {columns}
            {lanes}
            top={placeAt(place, view, ROW_HEIGHT)}
            open={line !== undefined && navigation.openContact === line.id}
            cursor={cursor === place}
            chosen={line !== undefined && chosen.has(line.id)}
            newDay={log.startsDay(place)}
            editing={line && cell.editing?.id === line.id ? cell.editing.field : undefined}
            text={cell.editing?.text}
            onclick={(event) => click(event, place)}
            onchoose={(extend) => void chooseTo(place, extend)}
            onedit={(field) => line && edit(line, field)}
            onsave={(value, step) => line && cell.save(line, value, step)}
            oncancel={() => cell.stop()}
          />
        {/each}
      </div>
    </div>
  </div>
</div>

<style>
  .sheet {
    display: flex;
    flex-direction: column;
    flex: 1;
    min-width: 0;
    min-height: 0;
  }

  .table {
    /* The cursor shows where the focus is. */
    outline: none;
    container-type: inline-size;
    position: relative;
    display: flex;
    flex-direction: column;
    flex: 1;
    min-width: 0;
    min-height: 0;
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
</style>
