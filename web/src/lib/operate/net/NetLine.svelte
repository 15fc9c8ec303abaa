<script lang="ts">
  import { onMount } from 'svelte';
  import LikelyCalls from '../line/LikelyCalls.svelte';
  import type { NetEntryView } from '../../platform/api/client';
  import { useStore } from '../../platform/page/stores';
  import RefusedLines from '../../platform/shared/RefusedLines.svelte';
  import { counted } from '../../platform/shared/format';
  import { MARKS } from './marks';
  import { SheetStore, type SheetAction } from './sheet.svelte';
  import { texts } from './texts';

  const store = useStore(SheetStore);

  let input = $state<HTMLInputElement | null>(null);
  let choice = $state(-1);

  /** Keys that act on the list while nothing is typed; no call begins with one. */
  const ACTIONS: Record<string, SheetAction> = {
    '.': 'NEXT_TURN',
    ',': 'SKIP_TURN',
    '=': 'GIVE_TURN',
    '+': 'MOVE_UP',
    '*': 'TOGGLE_WORKED',
  };

  function because(one: NetEntryView['parts'][number]['candidates'][number]): string {
    if (one.checkedIn) return texts.checkedIn;
    return one.sessions > 0 ? texts.hereSessions(one.sessions) : texts.fromTheLog;
  }

  const likely = $derived(
    store.view?.parts.flatMap(({ part, candidates }) =>
      candidates.map((one) => ({ part, call: one.call, name: one.name, because: because(one) })),
    ) ?? [],
  );
  /** Which check-in a line without a call is about. */
  const about = $derived.by(() => {
    const id = store.chosenId ?? store.sheet?.turnId;
    return store.sheet?.checkIns.find((one) => one.id === id);
  });
  const problems = $derived(store.problem ? [store.problem] : (store.view?.problems ?? []));

  const marks = $derived(MARKS.map((mark) => store.sheet?.words[mark.field] ?? ''));

  onMount(() => input?.focus());
  $effect(() => {
    if (store.focusAsked) {
      store.focusAsked = false;
      input?.focus();
    }
  });
  // After a station was edited in place, calls are typed on.
  $effect(() => {
    if (store.editedId === undefined) input?.focus();
  });

  function take(guess: { part: string; call: string }) {
    store.take(guess.part, guess.call);
    choice = -1;
    input?.focus();
  }

  function onkeydown(event: KeyboardEvent) {
    const empty = store.text === '';
    const action = ACTIONS[event.key];
    const guess = likely[choice];
    if (event.key === 'Enter') {
      if (guess) take(guess);
      else if (empty) store.editedId = store.chosenId;
      else void store.enter();
    } else if (empty && action) {
      void store.actOn(action);
    } else if (empty && event.key === '!') {
      void store.identified();
    } else if (empty && event.key === '#') {
      void store.logChosen();
    } else if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      store.choose(event.key === 'ArrowDown' ? 1 : -1);
    } else if (event.key === 'Escape' && (!empty || store.chosenId !== undefined)) {
      store.type('');
      store.chosenId = undefined;
      choice = -1;
    } else if (event.key === 'Tab' && !event.shiftKey && likely.length > 0) {
      choice = (choice + 1) % likely.length;
    } else {
      return;
    }
    event.preventDefault();
    event.stopPropagation();
  }
</script>

<div class="line">
  <LikelyCalls
    calls={likely}
    label={texts.likelyStations}
    {choice}
    ontake={(index) => likely[index] && take(likely[index])}
  />
  <RefusedLines lines={store.lines} />
  <input
    bind:this={input}
    class="mono entry-input"
    value={store.text}
    oninput={(event) => {
      choice = -1;
      store.type(event.currentTarget.value);
    }}
    {onkeydown}
    aria-label={texts.checkIn}
    aria-describedby="net-line-says"
    placeholder={texts.callsOrPartsOfThem(marks.join('   '))}
    autocomplete="off"
    autocapitalize="off"
    spellcheck="false"
  />
  <p id="net-line-says" role="status">
    {#if store.lines.waiting.length > 0 && problems.length > 0}
      <span class="trouble"
        >{texts.willBeSentWhenIt(problems.join(' '), counted(store.lines.waiting.length, 'line'))}</span
      >
    {:else if problems.length > 0}
      <span class="trouble">{problems.join(' ')}</span>
    {:else if store.text !== ''}
      <span class="muted">
        {#if store.view === undefined || store.view.stations > 0}{texts.enterChecksIn}
        {:else if about}{texts.enterAppliesThisTo(about.call ?? about.heard)}
        {:else}{texts.chooseAStationFirst}{/if}
      </span>
    {:else}
      <span class="muted"
        >{#if !store.sheet?.netControl}<kbd>↑↓</kbd> {texts.chooseThen} <kbd>*</kbd> {texts.worked}{:else}<kbd
            >.</kbd
          >
          {texts.nextTurn}
          <kbd>,</kbd>
          {texts.skip} <kbd>↑↓</kbd>
          {texts.chooseThen} <kbd>=</kbd>
          {texts.turnNow}{/if}
        <kbd>+</kbd>
        {texts.moveUp} <kbd>Enter</kbd>
        {texts.editOrTypeAReport}
        {#if store.sheet?.logs}<kbd>#</kbd> {texts.logNow}{/if} <kbd>!</kbd>
        {texts.iGaveMyCall}</span
      >
    {/if}
  </p>
</div>

<style>
  p {
    min-height: 24px;
    padding-top: 4px;
    font-size: 13px;
  }

  kbd:not(:first-child) {
    margin-left: 10px;
  }

  kbd {
    padding: 0 4px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 2px;
    font-family: var(--yb-mono);
  }
</style>
