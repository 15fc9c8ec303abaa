<script lang="ts">
  import { Button, FileUploaderButton, TextInput } from 'carbon-components-svelte';
  import type { TryoutStore } from './tryout.svelte';
  import { texts } from './texts';

  /** The ways to give a log: choose or drop a file, or say where it lies. */
  let { store }: { store: TryoutStore } = $props();

  let where = $state('');
  /** Whether something is being dragged over the place to drop it. */
  let over = $state(false);
  const fault = (field: string) => store.problem?.fields.get(field) ?? '';

  function given(event: SubmitEvent) {
    event.preventDefault();
    void (/^https?:/.test(where.trim()) ? store.address(where.trim()) : store.path(where.trim()));
  }

  function dropped(event: DragEvent) {
    event.preventDefault();
    over = false;
    const file = event.dataTransfer?.files[0];
    if (file) {
      void store.file(file);
    }
  }
</script>

<div class="ways">
  <div
    class="drop"
    class:over
    role="group"
    aria-label={texts.aLogToLookAt}
    ondragover={(event) => {
      event.preventDefault();
      over = true;
    }}
    ondragleave={() => (over = false)}
    ondrop={dropped}
  >
    <FileUploaderButton
      size="small"
      labelText={texts.chooseALog}
      disableLabelChanges
      on:change={(event) => {
        const [file] = event.detail;
        if (file) void store.file(file);
      }}
    />
    <p class="muted">{texts.orDropOneHereAdi}</p>
  </div>
  <form onsubmit={given}>
    <TextInput
      size="sm"
      labelText={texts.orWhereItLiesA}
      placeholder="/media/stick/log.adi or http://192.168.1.20/log.adi"
      bind:value={where}
      on:input={() => (store.host = '')}
      invalid={fault('path') !== '' || fault('address') !== ''}
      invalidText={fault('path') || fault('address')}
    />
    <Button size="small" type="submit" disabled={store.busy || where.trim() === ''}>
      {store.host ? texts.yesFetchItFrom(store.host) : texts.lookAtIt}
    </Button>
    {#if store.host}
      <p role="status">{texts.thisAddressIsTheDevice(store.host)}</p>
    {/if}
  </form>
</div>

<style>
  .ways {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 32px;
    align-items: start;
  }

  .drop {
    display: flex;
    flex-direction: column;
    gap: 8px;
    align-items: center;
    justify-content: center;
    height: 128px;
    border: 1px dashed var(--yb-line-strong);
  }

  .over {
    border: 1px solid var(--yb-accent);
    background: var(--yb-panel);
  }

  form {
    display: flex;
    flex-direction: column;
    gap: 12px;
    align-items: flex-start;
  }
</style>
