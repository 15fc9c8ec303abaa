<script lang="ts">
  import type { Lane, LogLine } from '../platform/api/client';
  import Seals from '../services/delivery/Seals.svelte';
  import { localTime } from '../platform/shared/format';
  import type { Column } from './columns';
  import { texts } from './texts';

  let {
    line,
    place,
    columns,
    lanes,
    top,
    open,
    cursor,
    chosen,
    newDay,
    editing,
    text,
    onclick,
    onchoose,
    onedit,
    onsave,
    oncancel,
  }: {
    /** Not here yet while its page is being fetched. */
    line: LogLine | undefined;
    /** In what was found, from 0. */
    place: number;
    columns: Column[];
    lanes: readonly Lane[];
    top: number;
    open: boolean;
    cursor: boolean;
    chosen: boolean;
    newDay: boolean;
    editing: string | undefined;
    /** What the cell that is being changed says at first; as it is, when left out. */
    text?: string;
    onclick: (event: MouseEvent) => void;
    onchoose: (extend: boolean) => void;
    onedit: (field: string) => void;
    onsave: (value: string, step: number) => void;
    oncancel: () => void;
  } = $props();

  function typed(event: KeyboardEvent) {
    const value = (event.target as HTMLInputElement).value;
    event.stopPropagation();
    if (event.key === 'Enter') {
      onsave(value, 0);
    } else if (event.key === 'Tab') {
      event.preventDefault();
      onsave(value, event.shiftKey ? -1 : 1);
    } else if (event.key === 'Escape') {
      oncancel();
    }
  }

  function focused(input: HTMLInputElement) {
    input.focus();
    input.select();
  }
</script>

<!-- svelte-ignore a11y_click_events_have_key_events, a11y_interactive_supports_focus -->
<div
  class="row line"
  class:open
  class:cursor
  class:chosen
  role="row"
  id={line ? `log-row-${line.id}` : undefined}
  aria-rowindex={place + 2}
  aria-selected={chosen}
  data-contact={line?.id}
  style:top={`${top}px`}
  {onclick}
>
  {#if line}
    <span role="gridcell">
      <input
        type="checkbox"
        tabindex="-1"
        aria-label={texts.chooseCall(line.call)}
        checked={chosen}
        onclick={(event) => {
          event.stopPropagation();
          onchoose(event.shiftKey);
        }}
      />
    </span>
    {#each columns as c (c.field)}
      <span
        role="gridcell"
        class={c.kind}
        class:call={c.field === 'CALL'}
        class:repeated={c.field === 'QSO_DATE' && !newDay}
        title={c.field === 'TIME_ON' ? localTime(line.start) : undefined}
        ondblclick={() => c.editable && onedit(c.field)}
      >
        {#if editing === c.field}
          <input
            class="cell"
            aria-label={texts.ofLabel(c.label, line.call)}
            value={text ?? c.text(line)}
            use:focused
            onkeydown={typed}
            onclick={(event) => event.stopPropagation()}
          />
        {:else}
          {c.text(line)}
        {/if}
      </span>
    {/each}
    {#if lanes.length > 0}
      <span role="gridcell"><Seals {lanes} seals={line.seals} word={lanes.length === 1} /></span>
    {/if}
  {:else}
    <span></span><span class="coming" role="gridcell" aria-label={texts.beingRead}></span>
  {/if}
</div>

<style>
  .row {
    display: grid;
    grid-template-columns: var(--columns);
    column-gap: 12px;
    align-items: center;
    padding: 0 16px;
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

  .chosen {
    background: color-mix(in srgb, var(--yb-accent) 14%, transparent);
  }

  .open {
    background: var(--yb-selected);
  }

  :global(.table:focus-visible) .cursor {
    outline: 2px solid var(--yb-accent);
    outline-offset: -2px;
  }

  /* An empty one, too, can be pointed at to be filled. */
  [role='gridcell'] {
    min-height: 26px;
    line-height: 26px;
    overflow: hidden;
    text-overflow: ellipsis;
  }

  .mono,
  .number {
    font-family: var(--yb-mono);
    font-feature-settings: 'zero';
    font-variant-numeric: tabular-nums slashed-zero;
  }

  .number {
    text-align: right;
  }

  .call {
    font-weight: 600;
  }

  .repeated {
    color: transparent;
  }

  .line:hover .repeated,
  .open .repeated {
    color: var(--yb-ink-2);
  }

  input[type='checkbox'] {
    accent-color: var(--yb-accent);
    margin: 0;
    vertical-align: middle;
  }

  .cell {
    width: 100%;
    height: 26px;
    padding: 0 4px;
    border: 1px solid var(--yb-accent);
    background: var(--yb-raised);
    color: var(--yb-ink);
    font: inherit;
  }

  .coming {
    width: 60px;
    height: 8px;
    border-radius: 4px;
    background: var(--yb-line);
  }
</style>
