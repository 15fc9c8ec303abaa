<script lang="ts">
  import { Button, Checkbox, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { onMount } from 'svelte';
  import { useStore } from '../../platform/page/stores';
  import { LineStore } from '../line/line.svelte';
  import LayoutEditor from './LayoutEditor.svelte';
  import OwnPictures from './OwnPictures.svelte';
  import { PictureStore } from './pictures.svelte';
  import { ReplyStore } from './replies.svelte';
  import { texts } from './texts';

  const store = useStore(ReplyStore);
  const pictures = useStore(PictureStore);
  const line = useStore(LineStore);

  let editing = $state(false);

  const folder = $derived(pictures.settings?.replyFolder);
  const draft = $derived(store.draft);

  onMount(() => {
    store.begin(pictures.details, line.view?.station?.call);
    void store.load();
  });

  const FIELDS = [
    { name: 'call', label: texts.call },
    { name: 'name', label: texts.name },
    { name: 'reportSent', label: texts.reportSent },
    { name: 'reportReceived', label: texts.reportReceived },
  ] as const;
</script>

<div class="composer">
  <figure>
    {#if store.preview}
      <img src={store.preview} alt={texts.replyToWhom(draft.call || texts.everybody)} />
    {:else}
      <p class="muted">{texts.drawingThePicture}</p>
    {/if}
    <figcaption>
      <Button size="small" disabled={store.writing || !folder} on:click={() => store.write()}
        >{store.writing ? texts.writing : texts.writeToFolder}</Button
      >
      <span role="status">
        {#if store.problem}<span class="trouble">{store.problem}</span>
        {:else if store.written}<span class="mono">{store.written}</span> {texts.isInTheFolderTransmit}
        {:else if folder === ''}<a href="#/pictures/folders">{texts.chooseTheFolder}</a>
          {texts.fromWhichYourPictureProgram}
        {:else}<span class="muted" title={folder}>{texts.aFileForYourPicture}</span>
        {/if}
      </span>
    </figcaption>
  </figure>
  <form onsubmit={(event) => event.preventDefault()} aria-label={texts.reply}>
    <div class="fields">
      {#each FIELDS as { name, label } (name)}
        <TextInput
          size="sm"
          labelText={label}
          maxlength={80}
          bind:value={store.draft[name]}
          on:input={() => store.changed()}
        />
      {/each}
    </div>
    <TextInput
      size="sm"
      labelText={texts.yourWords}
      placeholder={texts.thanksForThePicture}
      maxlength={80}
      bind:value={store.draft.words}
      on:input={() => store.changed()}
    />
    {#if draft.contactId !== undefined}
      <p class="muted">{texts.bothReportsAreAlsoPut(draft.call)}</p>
    {/if}
    <OwnPictures />
    {#if pictures.chosenId !== undefined}
      <Checkbox
        labelText={texts.useTheReceivedPictureWhere}
        checked={draft.receivedId !== undefined}
        on:check={(event) => {
          store.draft.receivedId = event.detail ? pictures.chosenId : undefined;
          store.changed();
        }}
      />
    {/if}
    <div class="layout">
      <Select
        size="sm"
        labelText={texts.layout}
        selected={draft.layout.name}
        on:change={(event) => store.useLayout((event.target as HTMLSelectElement).value)}
      >
        {#each store.layouts ?? [] as one (one.layout.name)}
          <SelectItem value={one.layout.name} text={one.layout.name} />
        {/each}
      </Select>
      <Button kind="ghost" size="small" on:click={() => (editing = !editing)}
        >{editing ? texts.closeEditor : texts.editLayout}</Button
      >
    </div>
    {#if editing}<LayoutEditor />{/if}
  </form>
</div>

<style>
  .composer {
    display: flex;
    flex: 1;
    gap: 24px;
    min-height: 0;
  }

  figure {
    display: flex;
    flex: 1;
    flex-direction: column;
    gap: 12px;
    min-width: 0;
    margin: 0;
  }

  img {
    max-width: 100%;
    min-height: 0;
    object-fit: contain;
    object-position: left top;
  }

  figcaption {
    display: flex;
    align-items: center;
    gap: 16px;
  }

  form {
    display: grid;
    flex: none;
    align-content: start;
    gap: 12px;
    width: 420px;
    overflow-y: auto;
    scrollbar-color: var(--yb-line-strong) transparent;
  }

  .fields {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 8px 12px;
  }

  .layout {
    display: flex;
    align-items: flex-end;
    gap: 8px;
  }

  @media (max-width: 900px) {
    .composer {
      flex-direction: column;
      overflow-y: auto;
    }

    form {
      width: auto;
    }
  }
</style>
