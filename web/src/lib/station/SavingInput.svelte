<script lang="ts">
  import { TextInput } from 'carbon-components-svelte';
  import { Checkmark } from 'carbon-icons-svelte';

  let {
    label,
    value,
    saved,
    fault = '',
    mono = false,
    onsave,
  }: {
    label: string;
    value: string;
    saved: boolean;
    fault?: string;
    mono?: boolean;
    onsave: (text: string) => unknown;
  } = $props();

  // What is typed stands until the saved value changes under it.
  let text = $derived(value);

  function save() {
    if (text.trim() !== value) {
      onsave(text.trim());
    }
  }
</script>

<div class="saving" class:call={mono}>
  <TextInput
    size="sm"
    labelText={label}
    bind:value={text}
    invalid={!!fault}
    invalidText={fault}
    on:blur={save}
    on:keydown={(event) => event.key === 'Enter' && save()}
  />
  <span class="tick" role="status">
    {#if saved && !fault}<Checkmark size={16} /><span class="visually-hidden">Saved</span>{/if}
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
</style>
