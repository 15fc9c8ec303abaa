<script lang="ts">
  import { TextArea, TextInput } from 'carbon-components-svelte';
  import { Checkmark } from 'carbon-icons-svelte';
  import { texts } from './texts';

  let {
    label,
    value,
    saved,
    fault = '',
    mono = false,
    hideLabel = false,
    placeholder = '',
    rows = 1,
    onsave,
  }: {
    label: string;
    value: string;
    saved: boolean;
    fault?: string;
    mono?: boolean;
    hideLabel?: boolean;
    placeholder?: string;
    /** With more than one, Enter begins a new line. */
    rows?: number;
    onsave: (text: string) => unknown;
  } = $props();

  // What is typed stands until the saved value is another one. Reading the same value again must not take it away, so its own
  // step compares it.
  const savedText = $derived(value);
  let text = $derived(savedText);
  /** Whether this is the field that was changed last; the others of its row were not touched. */
  let changed = $state(false);

  function save() {
    const tidy = text.trim();
    if (tidy !== value) {
      changed = true;
      onsave(tidy);
    } else {
      changed = false;
    }
  }
</script>

<div class="saving" class:call={mono} class:bare={hideLabel}>
  {#if rows > 1}
    <TextArea
      labelText={label}
      {hideLabel}
      {placeholder}
      {rows}
      bind:value={text}
      invalid={!!fault}
      invalidText={fault}
      on:blur={save}
    />
  {:else}
    <TextInput
      size="sm"
      labelText={label}
      {hideLabel}
      {placeholder}
      bind:value={text}
      invalid={!!fault}
      invalidText={fault}
      on:blur={save}
      on:keydown={(event) => event.key === 'Enter' && save()}
    />
  {/if}
  <span class="tick" role="status">
    {#if saved && changed && !fault}<Checkmark size={16} /><span class="visually-hidden">{texts.saved}</span
      >{/if}
  </span>
</div>

<style>
  .saving {
    position: relative;
  }

  .call :global(input) {
    font-family: var(--yb-mono);
    font-feature-settings: 'zero';
  }

  .tick {
    position: absolute;
    right: 8px;
    top: 26px;
    color: var(--yb-accent);
  }

  .bare .tick {
    top: 8px;
  }
</style>
