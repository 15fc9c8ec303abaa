<script lang="ts">
  import type { AppState } from '../frame/app.svelte';
  import NeedMark from '../partner/NeedMark.svelte';
  import { megaHertz } from '../shared/format';
  import LineFields from './LineFields.svelte';
  import OpenLines from './OpenLines.svelte';

  let { app }: { app: AppState } = $props();

  let input = $state<HTMLInputElement | null>(null);
  let choice = $state(-1);

  const line = $derived(app.line);
  const view = $derived(line.view);
  const likely = $derived(view?.likely ?? []);
  const setting = $derived(
    [
      view?.frequencyHz ? megaHertz(view.frequencyHz) : view?.band,
      view?.mode,
      app.positions.here?.ownCall,
    ].filter(Boolean),
  );
  /** Something typed that cannot be. */
  const wrong = $derived(view?.tokens.some((t) => t.problem) ? view.problems[0]?.sentence : undefined);
  /** What could be two things: the piece at the end, for that is where one types. */
  const doubt = $derived(view?.tokens.filter((t) => t.otherwise).at(-1));
  /** What is still to be typed, or wrong though each word is right. */
  const missing = $derived(view?.problems[0]?.sentence);

  $effect(() => {
    if (app.lineAsked && input) {
      app.lineAsked = false;
      input.focus();
    }
  });

  function take(call: string) {
    const token = view?.tokens.find((t) => t.field === 'CALL');
    const text = token
      ? line.text.slice(0, token.from) + call.toLowerCase() + line.text.slice(token.until)
      : call.toLowerCase();
    line.type(text + (text.endsWith(' ') ? '' : ' '));
    choice = -1;
    input?.focus();
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'Enter') {
      const guess = likely[choice];
      if (guess) {
        take(guess.call);
      } else {
        void line.enter();
      }
    } else if (event.key === '.' && (event.ctrlKey || event.metaKey)) {
      line.settle(input?.selectionStart ?? line.text.length);
    } else if (event.key === 'Escape') {
      if (line.text === '') {
        input?.blur();
        app.lineOpen = false;
      }
      line.clear();
      choice = -1;
    } else if (event.key === 'ArrowUp') {
      line.recall(1);
    } else if (event.key === 'ArrowDown') {
      line.recall(-1);
    } else if (event.key === 'z' && (event.ctrlKey || event.metaKey) && line.text === '') {
      // On an empty line it brings back what was cleared, or else takes back what was logged.
      if (!line.restore()) {
        undo();
      }
    } else if (event.key === 'Tab' && !event.shiftKey && likely.length > 0 && !line.text.includes(' ')) {
      choice = (choice + 1) % likely.length;
    } else {
      return;
    }
    event.preventDefault();
    event.stopPropagation();
  }

  function undo() {
    const outcome = line.outcome;
    if (outcome?.changeId !== undefined) {
      void app.changes.undo(outcome.changeId);
      line.fill(outcome.text);
      line.outcome = undefined;
    }
  }

  /** What may be kept for the contacts to come. */
  const STICKS = new Map([
    ['TX_PWR', 'power'],
    ['COMMENT', 'comment'],
  ]);
  /** What is kept, in words. */
  const KEPT = new Map([...STICKS, ['FREQ', 'MHz'], ['MODE', 'mode']]);
  const keepable = $derived(
    (view?.tokens ?? []).filter(
      (t) => STICKS.has(t.field ?? '') && !t.problem && line.sticking[t.field ?? ''] !== t.value,
    ),
  );

  const left = (column: number) => `calc(${column} * 1ch)`;
</script>

<section class="line" aria-label="Contact line" data-says-of={line.readText}>
  <OpenLines {line} corrected={() => input?.focus()} />
  {#if likely.length > 0}
    <div class="likely" role="group" aria-label="Likely calls">
      {#each likely as guess, i (guess.call)}
        <button class:chosen={i === choice} onclick={() => take(guess.call)} tabindex="-1">
          <span class="mono">{guess.call}</span>
          <span class="muted">{guess.near ? 'differs by one' : ''} {guess.worked}×</span>
        </button>
      {/each}
    </div>
  {/if}
  <div class="typed">
    {#if app.lineInFields}
      <LineFields {app} />
    {:else}
      <div class="entry mono">
        <input
          bind:this={input}
          class="mono"
          value={line.text}
          oninput={(event) => {
            choice = -1;
            line.type(event.currentTarget.value);
          }}
          {onkeydown}
          aria-label="Contact line"
          aria-describedby="line-says"
          placeholder="Call, reports, name …   or a frequency or mode to tune   ( c )"
          autocomplete="off"
          autocapitalize="off"
          spellcheck="false"
        />
        <div class="labels" aria-hidden="true">
          {#each view?.tokens ?? [] as token (token.from)}
            <span
              class:bad={token.problem}
              class:doubt={token.otherwise}
              style:left={left(token.from)}
              style:width={left(token.until - token.from)}
              title={token.problem}>{token.label}{token.otherwise ? '?' : ''}</span
            >
          {/each}
        </div>
      </div>
    {/if}
    <div class="says" id="line-says" role="status">
      {#if wrong && line.text.trim() !== '' && !view?.tunes}
        <span class="trouble">{wrong}</span>
      {:else if view?.tunes}
        <span>{view.radio ? 'Enter tunes the radio' : 'Enter keeps this for the contacts to come'}</span>
      {:else if view?.station}
        {#if view.station.need}<NeedMark mark={view.station.need} />{/if}
        <span class="entity">{view.station.entity ?? 'no entity'}</span>
        {#if view.station.dupe}<strong class="dupe">{view.station.dupe}</strong>
        {:else}<span class="muted"
            >{view.station.worked === 0 ? 'new station' : `worked ${view.station.worked}×`}</span
          >{/if}
        {#if missing}<span class="missing">{missing}</span>{/if}
      {:else if line.outcome}
        <span class="done">{line.outcome.sentence}</span>
        {#if line.outcome.changeId !== undefined}<button class="more" onclick={undo}>Undo</button>{/if}
      {/if}
      {#if doubt?.otherwise}
        <button
          class="more"
          onclick={() => {
            line.settle(doubt.from);
            input?.focus();
          }}><kbd>Ctrl</kbd>+<kbd>.</kbd> or <span class="mono">{doubt.otherwise}</span></button
        >
      {/if}
      {#if line.underWay > 0}<span class="muted">logging…</span>{/if}
    </div>
    <div class="set">
      {#each view?.notices ?? [] as notice (notice)}<span class="notice">{notice}</span>{/each}
      {#if line.aside[0] !== undefined}
        <button class="more" onclick={() => line.recall(1)} title="Bring it back into the line"
          ><kbd>↑</kbd> <span class="mono aside">{line.aside[0]}</span>{line.aside.length > 1
            ? ` +${line.aside.length - 1}`
            : ''}</button
        >
      {/if}
      {#each keepable as token (token.from)}
        <button class="more" onclick={() => line.stick(token.field ?? '', token.value)}
          >Keep this {STICKS.get(token.field ?? '')}</button
        >
      {/each}
      {#each Object.entries(line.sticking) as [field, value] (field)}
        <button
          class="kept"
          title="Kept for each contact; click to remove"
          onclick={() => line.stick(field, undefined)}>{KEPT.get(field) ?? field} {value} ×</button
        >
      {/each}
      <span class="mono muted">{setting.join(' · ')}</span>
      <button class="more" onclick={() => (app.lineInFields = !app.lineInFields)}>
        {app.lineInFields ? 'One line' : 'Fields'}
      </button>
    </div>
  </div>
</section>

<style>
  .line {
    position: relative;
    flex: none;
    padding: 8px 24px 10px;
    border-top: 1px solid var(--yb-line-strong);
    background: var(--yb-panel);
  }

  .likely {
    display: flex;
    flex-wrap: wrap;
    gap: 4px;
    padding-bottom: 8px;
  }

  .likely button {
    display: flex;
    align-items: center;
    gap: 8px;
    height: 26px;
    padding: 0 10px;
    border: 1px solid var(--yb-line);
    border-radius: 2px;
    background: var(--yb-raised);
    color: var(--yb-ink);
    font: inherit;
    font-size: 13px;
    cursor: pointer;
  }

  .likely .chosen,
  .likely button:hover {
    border-color: var(--yb-accent);
  }

  .typed {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    column-gap: 24px;
  }

  @media (max-width: 700px) {
    .line {
      padding: 4px 12px 6px;
    }

    .typed {
      grid-template-columns: minmax(0, 1fr);
    }
  }

  .entry {
    position: relative;
    font-size: 20px;
  }

  .entry input {
    width: 100%;
    height: 36px;
    padding: 0 0 0 1px;
    border: 0;
    border-bottom: 2px solid var(--yb-line-strong);
    background: none;
    color: var(--yb-ink);
    font-size: 20px;
    letter-spacing: 0;
    text-transform: uppercase;
  }

  .entry input::placeholder {
    color: var(--yb-ink-2);
    font-size: 15px;
    text-transform: none;
    opacity: 1;
  }

  .entry input:focus {
    border-bottom-color: var(--yb-accent);
    outline: none;
  }

  .labels {
    position: relative;
    height: 18px;
    overflow: hidden;
  }

  .labels span {
    position: absolute;
    top: 2px;
    border-top: 1px solid var(--yb-line-strong);
    color: var(--yb-ink-2);
    overflow: hidden;
    white-space: nowrap;
  }

  .labels span::first-line {
    font-family: var(--yb-sans);
    font-size: 11px;
  }

  .labels .bad {
    border-top: 2px solid var(--yb-trouble);
    color: var(--yb-trouble);
  }

  .labels .doubt {
    border-top: 2px dashed var(--yb-accent);
    color: var(--yb-ink);
  }

  .aside {
    display: inline-block;
    max-width: 14ch;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    vertical-align: bottom;
    text-transform: uppercase;
  }

  .says {
    display: flex;
    align-items: center;
    gap: 10px;
    max-width: 480px;
    min-height: 36px;
  }

  .entity,
  .dupe,
  .says > .muted {
    flex: none;
  }

  .entity {
    font-weight: 600;
  }

  .dupe {
    color: var(--yb-trouble);
    font-weight: 600;
  }

  .done {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .set {
    display: flex;
    grid-column: 2;
    align-items: center;
    justify-content: flex-end;
    gap: 12px;
    font-size: 12px;
  }

  .missing {
    color: var(--yb-trouble);
  }

  .kept {
    max-width: 160px;
    padding: 1px 8px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 10px;
    background: none;
    color: var(--yb-ink);
    font: inherit;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    cursor: pointer;
  }

  .typed > .entry {
    grid-row: 1 / 3;
  }
</style>
