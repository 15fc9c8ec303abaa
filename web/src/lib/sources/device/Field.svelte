<script lang="ts">
  import { TextInput } from 'carbon-components-svelte';

  /** One typed value of a device's form, with what is wrong with it. */
  let {
    label,
    value = $bindable(),
    fault,
    helper = '',
    placeholder = '',
  }: { label: string; value: string; fault: string; helper?: string; placeholder?: string } = $props();
</script>

<TextInput
  size="sm"
  labelText={label}
  helperText={helper}
  {placeholder}
  bind:value
  invalid={!!fault}
  invalidText={fault}
/>
