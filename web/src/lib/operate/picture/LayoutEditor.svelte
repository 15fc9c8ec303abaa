<script lang="ts">
  import { Button, NumberInput, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import type { ReplyLayout } from '../../platform/api/client';
  import { useStore } from '../../platform/page/stores';
  import { ReplyStore } from './replies.svelte';

  type Text = ReplyLayout['texts'][number];

  const store = useStore(ReplyStore);

  /** The usual sizes of slow-scan pictures, pixels. */
  const SIZES = ['320 × 256', '640 × 496', '800 × 616'];
  const SPOTS: { id: Text['spot']; label: string }[] = [
    { id: 'TOP_LEFT', label: 'Top left' },
    { id: 'TOP', label: 'Top' },
    { id: 'TOP_RIGHT', label: 'Top right' },
    { id: 'LEFT', label: 'Left' },
    { id: 'CENTRE', label: 'Centre' },
    { id: 'RIGHT', label: 'Right' },
    { id: 'BOTTOM_LEFT', label: 'Bottom left' },
    { id: 'BOTTOM', label: 'Bottom' },
    { id: 'BOTTOM_RIGHT', label: 'Bottom right' },
  ];
  const INKS: { id: Text['ink']; label: string }[] = [
    { id: 'WHITE', label: 'White' },
    { id: 'YELLOW', label: 'Yellow' },
    { id: 'BLACK', label: 'Black' },
    { id: 'RED', label: 'Red' },
  ];

  const layout = $derived(store.draft.layout);
  const stored = $derived(store.layouts?.find((one) => one.layout.name === layout.name));
  const size = $derived(`${layout.width} × ${layout.height}`);

  function resize(text: string) {
    const [width, height] = text.split(' × ').map(Number);
    Object.assign(store.draft.layout, { width, height });
    store.changed();
  }

  function add() {
    store.draft.layout.texts.push({ template: '', spot: 'CENTRE', sizePercent: 10, ink: 'WHITE' });
  }

  function remove(index: number) {
    store.draft.layout.texts.splice(index, 1);
    store.changed();
  }
</script>

<fieldset class="editor">
  <legend class="visually-hidden">Layout</legend>
  <div class="head">
    <TextInput size="sm" labelText="Name of the layout" maxlength={40} bind:value={store.draft.layout.name} />
    <Select
      size="sm"
      labelText="Size (pixels)"
      selected={size}
      on:change={(event) => resize((event.target as HTMLSelectElement).value)}
    >
      {#each SIZES.includes(size) ? SIZES : [size, ...SIZES] as one (one)}<SelectItem
          value={one}
          text={one}
        />{/each}
    </Select>
    <Select
      size="sm"
      labelText="Received picture"
      bind:selected={store.draft.layout.received}
      on:change={() => store.changed()}
    >
      <SelectItem value="NOWHERE" text="Not shown" />
      {#each SPOTS as { id, label } (id)}<SelectItem value={id} text={label} />{/each}
    </Select>
  </div>
  {#each layout.texts as text, i (text)}
    <div class="text">
      <TextInput
        size="sm"
        labelText={`Text ${i + 1}`}
        maxlength={80}
        bind:value={text.template}
        on:input={() => store.changed()}
      />
      <Select size="sm" labelText="Where" bind:selected={text.spot} on:change={() => store.changed()}>
        {#each SPOTS as { id, label } (id)}<SelectItem value={id} text={label} />{/each}
      </Select>
      <NumberInput
        size="sm"
        labelText="Size (%)"
        hideSteppers
        min={4}
        max={40}
        bind:value={text.sizePercent}
        on:change={() => store.changed()}
      />
      <Select size="sm" labelText="Colour" bind:selected={text.ink} on:change={() => store.changed()}>
        {#each INKS as { id, label } (id)}<SelectItem value={id} text={label} />{/each}
      </Select>
      <button type="button" class="more" aria-label={`Remove text ${i + 1}`} onclick={() => remove(i)}
        >Remove</button
      >
    </div>
  {/each}
  <p class="muted">
    {'{call} {name} {mycall} {report} {place} {locator} {words}'} stand for what is known.
  </p>
  <div class="act">
    <Button kind="secondary" size="small" disabled={layout.texts.length >= 12} on:click={add}>Add text</Button
    >
    <Button size="small" disabled={layout.name.trim() === ''} on:click={() => store.saveLayout()}
      >Save layout</Button
    >
    {#if stored?.changed}
      <Button kind="ghost" size="small" on:click={() => store.removeLayout(layout.name)}>Delete layout</Button
      >
    {/if}
  </div>
</fieldset>

<style>
  .editor {
    display: flex;
    flex-direction: column;
    gap: 8px;
    padding: 12px;
    border: 1px solid var(--yb-line);
    border-radius: 4px;
  }

  .head {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 8px;
  }

  .text {
    display: grid;
    grid-template-columns: 1.2fr 72px 1.2fr auto;
    align-items: end;
    gap: 4px 8px;
    padding-top: 8px;
    border-top: 1px solid var(--yb-line);
  }

  .text > :global(:first-child) {
    grid-column: 1 / -1;
  }

  .text :global(.bx--number) {
    min-width: 0;
  }

  .act {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
</style>
