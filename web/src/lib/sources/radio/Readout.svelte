<script lang="ts">
  import { digits, stepped } from './dial';
  import { texts } from './texts';

  let {
    hz,
    transmitting = false,
    ontune,
    ontype,
  }: {
    hz: number;
    transmitting?: boolean;
    ontune: (hz: number) => void;
    /** What was typed, in kHz, MHz or Hz as the operator likes. */
    ontype: (text: string) => void;
  } = $props();

  const A_NUMBER = /^\s*\d[\d\s]*([.,]\d*)?\s*$/;

  // While a person turns, their own count stands; the radio's reports catch up with it.
  let wanted = $state<number | undefined>(undefined);
  let settle: ReturnType<typeof setTimeout> | undefined;
  let typed = $state('');
  let typing = $state(false);
  let field = $state<HTMLInputElement>();
  let focusStep = $state(1000);

  const shown = $derived(wanted ?? hz);
  const dial = $derived(digits(shown));

  function tune(next: number) {
    wanted = next;
    clearTimeout(settle);
    settle = setTimeout(() => (wanted = undefined), 600);
    ontune(next);
  }

  function onwheel(event: WheelEvent, stepHz: number) {
    event.preventDefault();
    tune(stepped(shown, stepHz, event.deltaY < 0 ? 1 : -1));
  }

  function onkeydown(event: KeyboardEvent) {
    const places = dial.length;
    const at = places - 1 - Math.round(Math.log10(focusStep));
    if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      tune(stepped(shown, focusStep, event.key === 'ArrowUp' ? 1 : -1));
    } else if (event.key === 'ArrowLeft' || event.key === 'ArrowRight') {
      const next = Math.min(places - 1, Math.max(0, at + (event.key === 'ArrowRight' ? 1 : -1)));
      focusStep = 10 ** (places - 1 - next);
    } else if (/^\d$/.test(event.key)) {
      typing = true;
      typed = event.key;
      queueMicrotask(() => field?.focus());
    } else {
      return;
    }
    event.preventDefault();
  }

  function onfieldkey(event: KeyboardEvent) {
    if (event.key === 'Enter') {
      if (A_NUMBER.test(typed)) {
        ontype(typed);
        typing = false;
      }
    } else if (event.key === 'Escape') {
      typing = false;
    }
    event.stopPropagation();
  }
</script>

{#if typing}
  <label class="typing">
    <span class="muted">{texts.frequencyInKhzOrMhz}</span>
    <input
      class="mono"
      bind:this={field}
      bind:value={typed}
      onkeydown={onfieldkey}
      onblur={() => (typing = false)}
      aria-invalid={!A_NUMBER.test(typed)}
    />
  </label>
{:else}
  <div
    class="readout mono"
    class:transmitting
    role="spinbutton"
    tabindex="0"
    aria-label={texts.frequencyHzArrowKeysTurn}
    aria-valuenow={shown}
    data-testid="readout"
    {onkeydown}
  >
    {#each dial as digit, i (digit.stepHz)}
      {#if (dial.length - i) % 3 === 0 && i > 0}<span class={dial.length - i === 6 ? 'point' : 'gap'}
          >{dial.length - i === 6 ? '.' : ''}</span
        >{/if}<button
        type="button"
        tabindex="-1"
        class="digit"
        class:marked={digit.stepHz === focusStep}
        aria-hidden="true"
        title={texts.oneStepIsTurnThe(
          digit.stepHz >= 1000 ? `${digit.stepHz / 1000} kHz` : `${digit.stepHz} Hz`,
        )}
        onwheel={(event) => onwheel(event, digit.stepHz)}
        onclick={(event) => {
          focusStep = digit.stepHz;
          const box = event.currentTarget.getBoundingClientRect();
          tune(stepped(shown, digit.stepHz, event.clientY < box.top + box.height / 2 ? 1 : -1));
        }}>{digit.figure}</button
      >
    {/each}
  </div>
{/if}

<style>
  .readout {
    display: flex;
    align-items: baseline;
    font-size: 44px;
    line-height: 56px;
    font-weight: 600;
    border-radius: 3px;
  }

  .digit {
    padding: 0;
    border: 0;
    background: none;
    color: inherit;
    font: inherit;
    font-feature-settings: inherit;
    cursor: ns-resize;
  }

  .digit:hover {
    background: var(--yb-selected);
  }

  .marked {
    box-shadow: inset 0 -2px 0 var(--yb-line-strong);
  }

  .readout:focus-visible .marked {
    box-shadow: inset 0 -3px 0 var(--yb-accent);
  }

  .gap {
    width: 10px;
  }

  .transmitting {
    color: var(--yb-trouble);
  }

  .typing {
    display: flex;
    flex-direction: column;
    height: 56px;
    font-size: 12px;
  }

  input {
    height: 40px;
    border: 0;
    border-bottom: 2px solid var(--yb-accent);
    background: var(--yb-raised);
    color: var(--yb-ink);
    font-size: 24px;
    padding: 0 8px;
  }

  input[aria-invalid='true'] {
    border-bottom-color: var(--yb-trouble);
  }
</style>
