<script lang="ts">
  import { Button, NumberInput, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import type { ReplyLayout } from '../../platform/api/client';
  import { useStore } from '../../platform/page/stores';
  import { ReplyStore } from './replies.svelte';
  import { texts } from './texts';

  type Text = ReplyLayout['texts'][number];

  const store = useStore(ReplyStore);

  /** The usual sizes of slow-scan pictures, pixels. */
  const SIZES = ['320 × 256', '640 × 496', '800 × 616'];
  const SPOTS: { id: Text['spot']; label: string }[] = [
    { id: 'TOP_LEFT', label: texts.topLeft },
    { id: 'TOP', label: texts.top },
    { id: 'TOP_RIGHT', label: texts.topRight },
    { id: 'LEFT', label: texts.left },
    { id: 'CENTRE', label: texts.centre },
    { id: 'RIGHT', label: texts.right },
    { id: 'BOTTOM_LEFT', label: texts.bottomLeft },
    { id: 'BOTTOM', label: texts.bottom },
    { id: 'BOTTOM_RIGHT', label: texts.bottomRight },
  ];
  const INKS: { id: Text['ink']; label: string }[] = [
    { id: 'WHITE', label: texts.white },
    { id: 'YELLOW', label: texts.yellow },
    { id: 'BLACK', label: texts.black },
    { id: 'RED', label: texts.red },
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
  <legend class="visually-hidden">{texts.layout}</legend>
  <div class="head">
    <TextInput
      size="sm"
      labelText={texts.nameOfTheLayout}
      maxlength={40}
      bind:value={store.draft.layout.name}
    />
    <Select
      size="sm"
      labelText={texts.sizePixels}
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
      labelText={texts.receivedPicture}
      bind:selected={store.draft.layout.received}
      on:change={() => store.changed()}
    >
      <SelectItem value="NOWHERE" text={texts.notShown} />
      {#each SPOTS as { id, label } (id)}<SelectItem value={id} text={label} />{/each}
    </Select>
  </div>
  {#each layout.texts as text, i (text)}
    <div class="text">
      <TextInput
        size="sm"
        labelText={texts.textNumber(i + 1)}
        maxlength={80}
        bind:value={text.template}
        on:input={() => store.changed()}
      />
      <Select size="sm" labelText={texts.where} bind:selected={text.spot} on:change={() => store.changed()}>
        {#each SPOTS as { id, label } (id)}<SelectItem value={id} text={label} />{/each}
      </Select>
      <NumberInput
        size="sm"
        labelText={texts.size}
        hideSteppers
        min={4}
        max={40}
        bind:value={text.sizePercent}
        on:change={() => store.changed()}
      />
      <Select size="sm" labelText={texts.colour} bind:selected={text.ink} on:change={() => store.changed()}>
        {#each INKS as { id, label } (id)}<SelectItem value={id} text={label} />{/each}
      </Select>
      <button type="button" class="more" aria-label={texts.removeTextNumber(i + 1)} onclick={() => remove(i)}
        >{texts.remove}</button
      >
    </div>
  {/each}
  <p class="muted">
    {texts.callNameMycallReportPlace}
  </p>
  <div class="act">
    <Button kind="secondary" size="small" disabled={layout.texts.length >= 12} on:click={add}
      >{texts.addText}</Button
    >
    <Button size="small" disabled={layout.name.trim() === ''} on:click={() => store.saveLayout()}
      >{texts.saveLayout}</Button
    >
    {#if stored?.changed}
      <Button kind="ghost" size="small" on:click={() => store.removeLayout(layout.name)}
        >{texts.deleteLayout}</Button
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
