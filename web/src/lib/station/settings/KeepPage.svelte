<script lang="ts">
  import { Button, FileUploaderButton, InlineLoading } from 'carbon-components-svelte';
  import { Problem, sendFile, type SettingsRestored } from '../../platform/api/client';
  import { StationStore } from '../profile/station.svelte';
  import { PositionStore } from '../position/positions.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const station = useStore(StationStore);
  const positionsStore = useStore(PositionStore);

  let restored = $state.raw<SettingsRestored | undefined>(undefined);
  let problem = $state('');
  let busy = $state(false);

  async function restore(file: File | undefined) {
    if (!file) {
      return;
    }
    busy = true;
    problem = '';
    restored = undefined;
    try {
      restored = await sendFile<SettingsRestored>('/api/settings', file);
      await station.load();
      await positionsStore.load();
    } catch (e) {
      problem = e instanceof Problem ? e.message : String(e);
    } finally {
      busy = false;
    }
  }
</script>

<h2>{texts.allSettingsInOneFile}</h2>
<p class="muted">
  {texts.callsOperatorsPlacesPositions}
</p>
<p class="act">
  <Button size="small" kind="tertiary" href="/api/settings" download>{texts.saveToAFile}</Button>
</p>
<h2>{texts.takeOverFromAFile}</h2>
<p class="muted">{texts.whatHasTheSameName}</p>
<p class="act">
  <FileUploaderButton
    size="small"
    kind="tertiary"
    labelText={texts.chooseASettingsFile}
    disableLabelChanges
    accept={['.json']}
    on:change={(event) => void restore(event.detail[0])}
  />
  {#if busy}<InlineLoading description={texts.takingItOver} />{/if}
</p>
<div role="status">
  {#if restored}
    <p>
      {texts.takenOverWords(
        Object.entries(restored.taken)
          .filter(([, count]) => count > 0)
          .map(([part, count]) => `${part} (${count})`)
          .join(', ') || texts.nothing,
      )}
    </p>
    {#each restored.problems as sentence (sentence)}<p class="trouble">{sentence}</p>{/each}
  {/if}
  {#if problem}<p class="trouble">{problem}</p>{/if}
</div>

<style>
  .act {
    display: flex;
    gap: 12px;
    align-items: center;
    margin: 8px 0 24px;
  }

  p {
    max-width: 640px;
  }
</style>
