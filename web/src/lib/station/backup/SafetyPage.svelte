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
  import { texts } from './texts';

  const safety = new SafetyStore();
  void safety.load();

  const view = $derived(safety.view);
  let readBack = $state('');

  const megabytes = (bytes: number) => `${(bytes / 1e6).toFixed(1)} MB`;
</script>

<div class="page">
  <h2>{texts.secondCopy}</h2>
  <p class="muted">
    {texts.eachContactIsWrittenTo}
  </p>
  <TextInput
    size="sm"
    labelText={texts.folderEmptyForNoSecond}
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
        disabled={safety.doing.busy !== ''}
        on:click={() => void safety.rebuildCopy()}>{texts.writeTheCopyAnew}</Button
      >
      <span class="muted">{texts.itHoldsEveryContactEdits}</span>
    </p>
  {/if}

  <h2>{texts.backups}</h2>
  <p class="muted">
    {texts.theWholeStationDatedAnd}
    <span class="mono">{view?.backupFolder ?? '…'}</span>.
  </p>
  <div class="switches">
    <Checkbox
      labelText={texts.onceADay}
      checked={view?.backupDaily ?? false}
      on:check={({ detail }) =>
        view && detail !== view.backupDaily && void safety.save({ backupDaily: detail })}
    />
    <Checkbox
      labelText={texts.whenYokebarEnds}
      checked={view?.backupOnExit ?? false}
      on:check={({ detail }) =>
        view && detail !== view.backupOnExit && void safety.save({ backupOnExit: detail })}
    />
    <TextInput
      size="sm"
      labelText={texts.daysWithABackupThat}
      value={String(view?.backupsKept ?? '')}
      invalid={safety.saving.fault('safety', 'backupsKept') !== ''}
      invalidText={safety.saving.fault('safety', 'backupsKept')}
      on:change={(event) => void safety.save({ backupsKept: Number(event.detail) })}
    />
    <TextInput
      size="sm"
      labelText={texts.anotherFolder}
      placeholder={texts.besideTheLog}
      invalid={safety.saving.fault('safety', 'backupFolder') !== ''}
      invalidText={safety.saving.fault('safety', 'backupFolder')}
      on:change={(event) => void safety.save({ backupFolder: String(event.detail ?? '') })}
    />
  </div>
  <p class="act">
    <Button
      size="small"
      kind="tertiary"
      disabled={safety.doing.busy !== ''}
      on:click={() => void safety.backUp()}>{texts.backUpNow}</Button
    >
    {#if safety.doing.busy}<InlineLoading description={safety.doing.busy} />{/if}
  </p>
  {#if safety.doing.problem || view?.problem}
    <p class="trouble" role="alert">{safety.doing.problem || view?.problem}</p>
  {/if}
  {#if view && view.backups.length > 0}
    <table class="list">
      <thead
        ><tr
          ><th>{texts.madeUtc}</th><th>{texts.size}</th><th
            ><span class="visually-hidden">{texts.how}</span></th
          ><th><span class="visually-hidden">{texts.restore}</span></th></tr
        ></thead
      >
      <tbody>
        {#each view.backups as backup (backup.name)}
          <tr>
            <td class="mono">{utcDate(backup.madeAt)} {utcMinute(backup.madeAt)}</td>
            <td class="mono">{megabytes(backup.bytes)}</td>
            <td class="muted">{backup.byHand ? texts.byHand : ''}</td>
            <td
              ><Button size="small" kind="ghost" on:click={() => void safety.look(backup.name)}
                >{texts.restoreThis}</Button
              ></td
            >
          </tr>
        {/each}
      </tbody>
    </table>
  {:else if view}
    <p class="muted">{texts.thereIsNoBackupYet}</p>
  {/if}

  <h2>{texts.keyOfThePasswords}</h2>
  <KeyCopy {safety} />

  <h2>{texts.logFile}</h2>
  <p class="muted">
    {texts.whatHappensInYokebarIs} <span class="mono">{view?.logFile ?? '…'}</span>{texts.atMost30Mb}
  </p>

  <h2>{texts.fromElsewhere}</h2>
  <p class="act">
    <FileUploaderButton
      size="small"
      kind="tertiary"
      labelText={texts.restoreABackupFile}
      disableLabelChanges
      accept={['.zip']}
      on:change={({ detail }) => detail[0] && void safety.restoreFile(detail[0])}
    />
    <FileUploaderButton
      size="small"
      kind="tertiary"
      labelText={texts.readASecondCopyBack}
      disableLabelChanges
      accept={['.adi', '.adif']}
      on:change={async ({ detail }) => {
        if (detail[0]) readBack = await safety.readBack(detail[0]);
      }}
    />
  </p>
  <p class="muted">
    {texts.afterALossFirstRestore}
  </p>
  <p role="status">{readBack}</p>
</div>

<Modal
  size="sm"
  danger
  open={safety.looked !== undefined}
  modalHeading={texts.putThisBackupInThe}
  primaryButtonText={texts.restoreAndStartAgain}
  secondaryButtonText={texts.leaveTheLogAsIt}
  on:close={() => (safety.looked = undefined)}
  on:click:button--secondary={() => (safety.looked = undefined)}
  on:submit={() => safety.looked && void safety.restore(safety.looked.name)}
>
  {#if safety.looked}
    <p>
      {texts.itIsWholeAndHolds(
        counted(safety.looked.content.contacts, 'contact'),
      )}{#if safety.looked.content.newest}{texts.theLastOfUtc(
          utcDate(safety.looked.content.newest),
          utcMinute(safety.looked.content.newest),
        )}{/if}.
    </p>
    {#if safety.looked.content.lacks.length > 0}
      <p class="muted">{texts.notInIt(safety.looked.content.lacks.join('; '))}</p>
    {/if}
    <p>
      {texts.theLogOfNowIs}
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
