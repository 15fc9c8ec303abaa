<script lang="ts">
  import {
    Button,
    Checkbox,
    FileUploaderButton,
    InlineLoading,
    Modal,
    TextInput,
  } from 'carbon-components-svelte';
  import { counted, utcDate, utcMinute } from '../../platform/shared/format';
  import KeyCopy from './KeyCopy.svelte';
  import SavedMark from '../../platform/shared/SavedMark.svelte';
  import { SafetyStore } from './safety.svelte';

  const safety = new SafetyStore();
  void safety.load();

  const view = $derived(safety.view);
  let readBack = $state('');

  const megabytes = (bytes: number) => `${(bytes / 1e6).toFixed(1)} MB`;
</script>

<div class="page">
  <h2>Second copy</h2>
  <p class="muted">
    Each contact is written to one more file as it is logged: on a stick, another disk, a folder that is
    mirrored elsewhere.
  </p>
  <TextInput
    size="sm"
    labelText="Folder; empty for no second copy"
    placeholder="/media/stick/log"
    value={view?.copyFolder ?? ''}
    invalid={safety.saving.fault('safety', 'copyFolder') !== ''}
    invalidText={safety.saving.fault('safety', 'copyFolder')}
    on:change={(event) => void safety.save({ copyFolder: String(event.detail ?? '') })}
  />
  <SavedMark saved={safety.saving.saved('safety')} />
  {#if view?.copyFolder}
    <p class="act">
      <Button
        size="small"
        kind="tertiary"
        disabled={safety.busy !== ''}
        on:click={() => void safety.rebuildCopy()}>Write the copy anew</Button
      >
      <span class="muted">It holds every contact; edits and deletions follow within a minute.</span>
    </p>
  {/if}

  <h2>Backups</h2>
  <p class="muted">
    The whole station, dated and compressed: log, journeys, changes, settings, as rows that any program can
    read. Kept: one for each of the last days, eight weeks, two years of months, and each year. They are in
    <span class="mono">{view?.backupFolder ?? '…'}</span>.
  </p>
  <div class="switches">
    <Checkbox
      labelText="Once a day"
      checked={view?.backupDaily ?? false}
      on:check={({ detail }) =>
        view && detail !== view.backupDaily && void safety.save({ backupDaily: detail })}
    />
    <Checkbox
      labelText="When Yokebar ends"
      checked={view?.backupOnExit ?? false}
      on:check={({ detail }) =>
        view && detail !== view.backupOnExit && void safety.save({ backupOnExit: detail })}
    />
    <TextInput
      size="sm"
      labelText="Days with a backup that are kept"
      value={String(view?.backupsKept ?? '')}
      invalid={safety.saving.fault('safety', 'backupsKept') !== ''}
      invalidText={safety.saving.fault('safety', 'backupsKept')}
      on:change={(event) => void safety.save({ backupsKept: Number(event.detail) })}
    />
    <TextInput
      size="sm"
      labelText="Another folder"
      placeholder="beside the log"
      invalid={safety.saving.fault('safety', 'backupFolder') !== ''}
      invalidText={safety.saving.fault('safety', 'backupFolder')}
      on:change={(event) => void safety.save({ backupFolder: String(event.detail ?? '') })}
    />
  </div>
  <p class="act">
    <Button size="small" kind="tertiary" disabled={safety.busy !== ''} on:click={() => void safety.backUp()}
      >Back up now</Button
    >
    {#if safety.busy}<InlineLoading description={safety.busy} />{/if}
  </p>
  {#if safety.problem || view?.problem}
    <p class="trouble" role="alert">{safety.problem || view?.problem}</p>
  {/if}
  {#if view && view.backups.length > 0}
    <table class="list">
      <thead
        ><tr
          ><th>Made, UTC</th><th>Size</th><th><span class="visually-hidden">How</span></th><th
            ><span class="visually-hidden">Restore</span></th
          ></tr
        ></thead
      >
      <tbody>
        {#each view.backups as backup (backup.name)}
          <tr>
            <td class="mono">{utcDate(backup.madeAt)} {utcMinute(backup.madeAt)}</td>
            <td class="mono">{megabytes(backup.bytes)}</td>
            <td class="muted">{backup.byHand ? 'by hand' : ''}</td>
            <td
              ><Button size="small" kind="ghost" on:click={() => void safety.look(backup.name)}
                >Restore…</Button
              ></td
            >
          </tr>
        {/each}
      </tbody>
    </table>
  {:else if view}
    <p class="muted">There is no backup yet.</p>
  {/if}

  <h2>Key of the passwords</h2>
  <KeyCopy {safety} />

  <h2>Log file</h2>
  <p class="muted">
    What happens in Yokebar is written to <span class="mono">{view?.logFile ?? '…'}</span>, 30&nbsp;MB at the
    most.
  </p>

  <h2>From elsewhere</h2>
  <p class="act">
    <FileUploaderButton
      size="small"
      kind="tertiary"
      labelText="Restore a backup file"
      disableLabelChanges
      accept={['.zip']}
      on:change={({ detail }) => detail[0] && void safety.restoreFile(detail[0])}
    />
    <FileUploaderButton
      size="small"
      kind="tertiary"
      labelText="Read a second copy back"
      disableLabelChanges
      accept={['.adi', '.adif']}
      on:change={async ({ detail }) => {
        if (detail[0]) readBack = await safety.readBack(detail[0]);
      }}
    />
  </p>
  <p class="muted">
    After a loss: first restore the newest backup, then read the second copy back; nothing is doubled. A
    restored log begins a copy of its own and keeps the one from before beside it, with its date in its name:
    that is the one to read back.
  </p>
  <p role="status">{readBack}</p>
</div>

<Modal
  size="sm"
  danger
  open={safety.looked !== undefined}
  modalHeading="Put this backup in the log's place?"
  primaryButtonText="Restore and start again"
  secondaryButtonText="Leave the log as it is"
  on:close={() => (safety.looked = undefined)}
  on:click:button--secondary={() => (safety.looked = undefined)}
  on:submit={() => safety.looked && void safety.restore(safety.looked.name)}
>
  {#if safety.looked}
    <p>
      It is whole and holds {counted(
        safety.looked.content.contacts,
        'contact',
      )}{#if safety.looked.content.newest}, the last of {utcDate(safety.looked.content.newest)}
        {utcMinute(safety.looked.content.newest)} UTC{/if}.
    </p>
    {#if safety.looked.content.lacks.length > 0}
      <p class="muted">Not in it: {safety.looked.content.lacks.join('; ')}.</p>
    {/if}
    <p>
      The log of now is kept beside it in the data folder. Yokebar restarts automatically; that takes some
      seconds.
    </p>
  {/if}
</Modal>

<style>
  .page {
    max-width: 640px;
  }

  h2 {
    margin-top: 20px;
  }

  h2:first-child {
    margin-top: 0;
  }

  .muted {
    margin-bottom: 8px;
  }

  .switches {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 12px;
    margin: 8px 0;
  }

  .switches :global(.bx--form-item) {
    margin: 0;
  }

  .switches :global(.bx--checkbox-wrapper) {
    margin: 0;
  }

  .act {
    display: flex;
    align-items: center;
    gap: 8px;
    margin: 12px 0;
  }

  .act .muted {
    margin: 0;
  }
</style>
