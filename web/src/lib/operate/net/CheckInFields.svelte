<script lang="ts">
  import { Button, Checkbox, TextInput } from 'carbon-components-svelte';
  import { onMount } from 'svelte';
  import type { CheckIn } from '../../platform/api/client';
  import { useStore } from '../../platform/page/stores';
  import { MARKS } from './marks';
  import { SheetStore } from './sheet.svelte';
  import { texts } from './texts';

  let { checkIn, removable }: { checkIn: CheckIn; removable: boolean } = $props();

  const store = useStore(SheetStore);
  // svelte-ignore state_referenced_locally
  let form = $state({
    call: checkIn.call ?? checkIn.heard,
    name: checkIn.name ?? '',
    via: checkIn.via ?? '',
    sent: checkIn.sent ?? '',
    received: checkIn.received ?? '',
    note: checkIn.note ?? '',
  });
  // svelte-ignore state_referenced_locally
  let marks = $state([...checkIn.marks]);
  let first = $state<HTMLElement | null>(null);

  onMount(() => first?.querySelector('input')?.select());

  async function save(event: SubmitEvent) {
    event.preventDefault();
    const { call, ...rest } = form;
    const changed = call.toUpperCase() !== (checkIn.call ?? '');
    if (await store.correct(checkIn.id, { ...rest, marks, ...(changed ? { call } : {}) })) {
      store.editedId = undefined;
    }
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'Escape') {
      event.stopPropagation();
      store.problem = '';
      store.editedId = undefined;
    }
  }
</script>

<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<form onsubmit={save} {onkeydown} aria-label={texts.editHeard(checkIn.call ?? checkIn.heard)}>
  <div bind:this={first} class="call">
    <TextInput size="sm" labelText={texts.call} bind:value={form.call} />
  </div>
  <TextInput size="sm" labelText={texts.name} bind:value={form.name} />
  <TextInput size="sm" labelText={texts.relayedBy} bind:value={form.via} />
  <TextInput size="sm" labelText={texts.sent} bind:value={form.sent} />
  <TextInput size="sm" labelText={texts.received} bind:value={form.received} />
  <TextInput size="sm" labelText={texts.note} bind:value={form.note} />
  <div class="marks">
    {#each MARKS as mark (mark.id)}
      <Checkbox labelText={mark.label} value={mark.id} bind:group={marks} />
    {/each}
  </div>
  <div class="act">
    <Button type="submit" size="small">{texts.save}</Button>
    <Button kind="secondary" size="small" on:click={() => (store.editedId = undefined)}>{texts.cancel}</Button
    >
    {#if removable}
      <Button kind="ghost" size="small" on:click={() => store.remove(checkIn.id)}
        >{texts.removeCheckIn}</Button
      >
    {/if}
  </div>
</form>

<style>
  form {
    display: grid;
    grid-template-columns: 14ch 1fr 14ch 9ch 9ch 2fr;
    gap: 8px;
    padding: 8px;
  }

  .call :global(input) {
    font-family: var(--yb-mono);
    text-transform: uppercase;
  }

  .marks :global(.bx--checkbox-wrapper) {
    margin: 0;
  }

  .marks {
    display: flex;
    align-items: center;
    grid-column: 1 / 4;
    gap: 24px;
  }

  .act {
    display: flex;
    grid-column: 4 / -1;
    gap: 4px;
    justify-content: flex-end;
  }
</style>
