<script lang="ts">
  import { onDestroy, untrack } from 'svelte';
  import { api, got, type LogLine } from '../api/client';
  import type { AppState } from '../frame/app.svelte';
  import LogRow from './LogRow.svelte';
  import type { Chosen } from './chosen.svelte';
  import { column, fitting } from './columns';
  import { EditQueue, type Unsaved } from './edits.svelte';
  import SealHeads from '../services/SealHeads.svelte';
  import { placeAt, rowWindow, scrollFor } from './row-window';

  let { app, chosen, onactions }: { app: AppState; chosen: Chosen; onactions: () => void } = $props();

  const ROW_HEIGHT = 30;
  const OPEN_AFTER_MS = 220;
  const CHOICE_PX = 28 + 12 + 2 * 16;
  /** One seal with its word, or as many shapes as there are services. */
  const SEAL_WITH_WORD_PX = 104;
  const SEAL_PX = 24;
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
  /** The cell that is being changed, and what it said when it was opened: another browser may change it meanwhile. */
  let editing = $state.raw<{ id: number; field: string; was: string; text: string } | undefined>(undefined);
  const edits = new EditQueue();

  const log = $derived(app.log);
  const lanes = $derived(app.lanes.sealed);
  const sealsPx = $derived(lanes.length === 1 ? SEAL_WITH_WORD_PX : lanes.length * SEAL_PX);
  /** What is left for columns beside the box to choose with, the seals and the margins. */
  const columns = $derived(fitting(app.logColumns.map(column), width - CHOICE_PX - sealsPx));
  const template = $derived(`28px ${columns.map((c) => c.width).join(' ')} ${sealsPx}px`);
  const view = $derived(rowWindow(scrollTop, viewHeight, log.found, ROW_HEIGHT));
  const places = $derived(Array.from({ length: view.end - view.first }, (_, i) => view.first + i));
  /** Nothing moves under the pointer, or under the cursor of the keyboard. */
  const holding = $derived(
    pointed || scrollTop > ROW_HEIGHT / 2 || editing !== undefined || (focused && cursor >= 0),
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
    untrack(() => app.log.hold(hold));
  });

  onDestroy(() => app.log.hold(false));

  $effect(() => {
    const { first, end } = view;
    void log.found;
    untrack(() => app.log.look(first, end));
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

  function newDay(place: number): boolean {
    const line = log.at(place);
    const above = log.at(place - 1);
    return (
      log.sort.field !== 'START' || !line || !above || above.start.slice(0, 10) !== line.start.slice(0, 10)
    );
  }

  function sort(field: string) {
    const same = log.sort.field === field;
    log.sortBy({ field, descending: same ? !log.sort.descending : field === 'START' });
    toTop();
  }

  function sorted(field: string): 'ascending' | 'descending' | undefined {
    return log.sort.field !== field ? undefined : log.sort.descending ? 'descending' : 'ascending';
  }

  async function chooseTo(place: number, extend: boolean) {
    const line = log.at(place);
    if (!extend || cursor < 0) {
      if (line) chosen.toggle(line.id);
    } else {
      const from = Math.min(cursor, place);
      const limit = Math.abs(cursor - place) + 1;
      const { search, sort: order } = log;
      const query = { search, sort: order.field, descending: order.descending, from, limit };
      chosen.add(await got(api.GET('/api/log/ids', { params: { query } })));
    }
    stand(place);
  }

  function click(event: MouseEvent, place: number) {
    const line = log.at(place);
    if (event.shiftKey || event.ctrlKey || event.metaKey) {
      event.preventDefault();
      void chooseTo(place, event.shiftKey);
    } else if (line && editing?.id !== line.id) {
      stand(place);
      clearTimeout(opening);
      // The drawer moves the cells aside; a second click, which edits one, must find it where it was.
      opening = setTimeout(() => app.showContact(line.id), OPEN_AFTER_MS);
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
    const step = {
      ArrowDown: 1,
      ArrowUp: -1,
      PageDown: page,
      PageUp: -page,
      Home: -log.found,
      End: log.found,
    }[event.key];
    const line = log.at(cursor);
    if (step !== undefined) {
      moveTo(cursor + step, event.shiftKey);
    } else if (event.key === 'Enter') {
      app.showContact(line?.id);
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
    if (field) {
      clearTimeout(opening);
      const was = column(field).text(line);
      editing = { id: line.id, field, was, text: was };
    }
  }

  /** The next cell that can be changed, or none. */
  function beside(field: string, step: number): string | undefined {
    const fields = columns.filter((c) => c.editable).map((c) => c.field);
    return fields[fields.indexOf(field) + step];
  }

  /** The next cell is there at once; what is typed while the last is being saved belongs to it. */
  function save(line: LogLine, field: string, value: string, step: number) {
    const was = editing?.was ?? '';
    const next = step === 0 ? undefined : beside(field, step);
    editing = undefined;
    edit(line, next);
    if (!next) grid?.focus();
    if (value !== was) {
      void edits.put(line, field, value, { was, is: column(field).text(line) });
    }
  }

  function stopEditing() {
    editing = undefined;
    grid?.focus();
  }

  function correct(unsaved: Unsaved) {
    edits.dismiss(unsaved);
    const line = places.map((p) => log.at(p)).find((l) => l?.id === unsaved.id);
    const { id, field, value } = unsaved;
    editing = { id, field, was: line ? column(field).text(line) : '', text: value };
  }
</script>

<div class="sheet">
  {#each edits.unsaved as unsaved (`${unsaved.id} ${unsaved.field}`)}
    <p class="problem trouble" role="alert">
      {unsaved.call}, {column(unsaved.field).label}: “{unsaved.value}” is not saved. {unsaved.sentence}
      <button class="more" onclick={() => correct(unsaved)}>Correct</button>
      <button class="more" onclick={() => edits.dismiss(unsaved)}>Dismiss</button>
    </p>
  {/each}
  <div
    class="table"
    role="grid"
    tabindex="0"
    aria-label="Contacts; arrow keys move, Enter opens, space chooses, e edits, a goes to the actions"
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
    <div class="row head" role="row">
      <span role="columnheader">
        <input
          type="checkbox"
          aria-label="Choose all that were found"
          checked={chosen.whole}
          indeterminate={chosen.size > 0 && !chosen.whole}
          onchange={() => (chosen.whole ? chosen.clear() : chosen.chooseAll(log.found))}
        />
      </span>
      {#each columns as c (c.field)}
        {@const by = c.sort ?? c.field}
        <span role="columnheader" aria-sort={sorted(by)} class:number={c.kind === 'number'}>
          <button onclick={() => sort(by)} title={`Sort by ${c.label}`}>
            {c.label}{#if sorted(by) && (by !== 'START' || c.field === 'QSO_DATE')}<i aria-hidden="true"
                >{log.sort.descending ? '↓' : '↑'}</i
              >{/if}
          </button>
        </span>
      {/each}
      {#if lanes.length > 0}
        <span role="columnheader"><SealHeads {lanes} word={lanes.length === 1} /></span>
      {/if}
    </div>
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
      <div class="all" style:height={`${view.height}px`}>
        {#each places as place (place)}
          {@const line = log.at(place)}
          <LogRow
            {line}
            {place}
            {columns}
            {lanes}
            top={placeAt(place, view, ROW_HEIGHT)}
            open={line !== undefined && app.openContact === line.id}
            cursor={cursor === place}
            chosen={line !== undefined && chosen.has(line.id)}
            newDay={newDay(place)}
            editing={line && editing?.id === line.id ? editing.field : undefined}
            text={editing?.text}
            onclick={(event) => click(event, place)}
            onchoose={(extend) => void chooseTo(place, extend)}
            onedit={(field) => line && edit(line, field)}
            onsave={(value, step) => line && editing && save(line, editing.field, value, step)}
            oncancel={stopEditing}
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

  /* The cursor shows where the focus is. */
  .table:focus-visible {
    outline: none;
  }

  .table {
    container-type: inline-size;
    position: relative;
    display: flex;
    flex-direction: column;
    flex: 1;
    min-width: 0;
    min-height: 0;
  }

  .row {
    display: grid;
    grid-template-columns: var(--columns);
    column-gap: 12px;
    align-items: center;
    padding: 0 16px;
  }

  .head {
    height: 28px;
    color: var(--yb-ink-2);
    font-size: 12px;
    border-bottom: 1px solid var(--yb-line);
    scrollbar-gutter: stable;
    overflow: hidden;
  }

  .head button {
    padding: 0;
    border: 0;
    background: none;
    color: inherit;
    font: inherit;
    white-space: nowrap;
    cursor: pointer;
  }

  .head button:hover {
    color: var(--yb-ink);
  }

  .head i {
    margin-left: 3px;
    font-style: normal;
    color: var(--yb-accent);
  }

  .number {
    text-align: right;
  }

  input[type='checkbox'] {
    accent-color: var(--yb-accent);
    margin: 0;
  }

  .problem {
    padding: 6px 16px;
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
