<script lang="ts">
  import { onMount } from 'svelte';
  import { useStore } from '../../platform/page/stores';
  import { counted } from '../../platform/shared/format';
  import { SheetStore, type SheetAction } from './sheet.svelte';

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

  const likely = $derived(
    store.view?.parts.flatMap((part) => part.candidates.map((one) => ({ part: part.part, ...one }))) ?? [],
  );
  const chosen = $derived(store.sheet?.checkIns.find((one) => one.id === store.chosenId));
  const problems = $derived(store.problem ? [store.problem] : (store.view?.problems ?? []));

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
  {#if likely.length > 0}
    <div class="likely" role="group" aria-label="Likely stations">
      {#each likely as guess, i (guess.part + guess.call)}
        <button class:chosen={i === choice} onclick={() => take(guess)} tabindex="-1">
          <span class="mono">{guess.call}</span>
          {guess.name}
          <span class="muted"
            >{guess.checkedIn
              ? 'checked in'
              : guess.sessions > 0
                ? `${guess.sessions}× here`
                : 'from the log'}</span
          >
        </button>
      {/each}
    </div>
  {/if}
  {#each store.refused as one (one.text)}
    <p class="refused" role="alert">
      <span class="mono">{one.text}</span> <span class="trouble">{one.sentence}</span>
      <button class="more" onclick={() => store.dismissRefused()}>Dismiss</button>
    </p>
  {/each}
  <input
    bind:this={input}
    class="mono"
    value={store.text}
    oninput={(event) => {
      choice = -1;
      store.type(event.currentTarget.value);
    }}
    {onkeydown}
    aria-label="Check in"
    aria-describedby="net-line-says"
    placeholder="Calls or parts of them …   via zp5qxa   traffic   early   listening   ; note"
    autocomplete="off"
    autocapitalize="off"
    spellcheck="false"
  />
  <p id="net-line-says" role="status">
    {#if store.unsent.length > 0 && problems.length > 0}
      <span class="trouble"
        >{problems.join(' ')} {counted(store.unsent.length, 'line')} will be sent when it does.</span
      >
    {:else if problems.length > 0}
      <span class="trouble">{problems.join(' ')}</span>
    {:else if store.text !== ''}
      <span class="muted"
        >{store.view === undefined || store.view.stations > 0
          ? 'Enter checks in.'
          : `Enter applies this to ${chosen ? (chosen.call ?? chosen.heard) : 'the station whose turn it is'}.`}</span
      >
    {:else}
      <span class="muted"
        >{#if !store.sheet?.netControl}<kbd>↑↓</kbd> choose, then <kbd>*</kbd> worked{:else}<kbd>.</kbd> next
          turn
          <kbd>,</kbd> skip <kbd>↑↓</kbd> choose, then <kbd>=</kbd> turn now{/if}
        <kbd>+</kbd> move up <kbd>Enter</kbd> edit, or type a report <kbd>!</kbd> I gave my call</span
      >
    {/if}
  </p>
</div>

<style>
  input {
    width: 100%;
    height: 36px;
    padding: 0 0 0 1px;
    border: 0;
    border-bottom: 2px solid var(--yb-line-strong);
    background: none;
    color: var(--yb-ink);
    font-size: 20px;
    text-transform: uppercase;
  }

  input::placeholder {
    color: var(--yb-ink-2);
    font-size: 15px;
    text-transform: none;
    opacity: 1;
  }

  input:focus {
    border-bottom-color: var(--yb-accent);
    outline: none;
  }

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
</style>
