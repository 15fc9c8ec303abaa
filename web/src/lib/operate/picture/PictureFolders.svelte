<script lang="ts">
  import { Select, SelectItem } from 'carbon-components-svelte';
  import { useStore } from '../../platform/page/stores';
  import SavingInput from '../../platform/shared/SavingInput.svelte';
  import { HookupStore } from '../../sources/hookup/hookups.svelte';
  import { RadioStore } from '../../sources/radio/radios.svelte';
  import { PictureStore } from './pictures.svelte';
  import { texts } from './texts';

  const store = useStore(PictureStore);
  const hookups = useStore(HookupStore);
  const radios = useStore(RadioStore);

  const link = $derived(hookups.all.find((one) => one.id === 'received-pictures'));
</script>

{#if !store.settings}
  <p class="muted">{texts.readingTheFolders}</p>
{:else}
  <div class="form">
    <SavingInput
      label={texts.folderWithReceivedPictures}
      placeholder="/home/branca/pictures/received"
      value={store.settings.folder}
      saved={store.saving.saved('folder')}
      fault={store.saving.fault('folder', 'folder')}
      onsave={(folder) => store.saveSettings({ folder })}
    />
    <p class:trouble={link?.state === 'TROUBLE'} class:muted={link?.state !== 'TROUBLE'} role="status">
      {#if link?.state === 'TROUBLE'}{link.reason} {link.fix}
      {:else if link?.state === 'LIVE'}{texts.picturesInItAndIts}
      {:else if link}{texts.notConnectedConnect} <em>{texts.pictures}</em> {texts.atTheTop}
      {:else}{texts.pngJpegAndBmpFiles}
      {/if}
    </p>
    <SavingInput
      label={texts.folderForRepliesFromWhich}
      placeholder="/home/branca/pictures/transmit"
      value={store.settings.replyFolder}
      saved={store.saving.saved('replyFolder')}
      fault={store.saving.fault('replyFolder', 'replyFolder')}
      onsave={(replyFolder) => store.saveSettings({ replyFolder })}
    />
    <p class="muted">{texts.aReplyIsWrittenThere}</p>
    <Select
      size="sm"
      labelText={texts.radioWhoseFrequencyIsNoted}
      selected={String(store.settings.radioId ?? '')}
      on:change={(event) => {
        const chosen = (event.target as HTMLSelectElement).value;
        void store.saveSettings({ radioId: chosen === '' ? undefined : Number(chosen) });
      }}
    >
      <SelectItem value="" text={texts.theFirstRadio} />
      {#each radios.all as radio (radio.id)}<SelectItem value={String(radio.id)} text={radio.name} />{/each}
    </Select>
  </div>
{/if}

<style>
  .form {
    display: flex;
    flex-direction: column;
    gap: 8px;
    max-width: 640px;
  }

  p {
    margin-bottom: 16px;
  }
</style>
