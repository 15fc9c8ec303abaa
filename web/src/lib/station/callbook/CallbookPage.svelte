<script lang="ts">
  import { Button, FileUploaderButton, InlineLoading, PasswordInput } from 'carbon-components-svelte';
  import { counted, utcDate, utcMinute } from '../../platform/shared/format';
  import SavingInput from '../../platform/shared/SavingInput.svelte';
  import ReferencePanel from '../reference/ReferencePanel.svelte';
  import { CallbookStore } from './callbook.svelte';
  import { texts } from './texts';

  const store = new CallbookStore();
  void store.load();

  const view = $derived(store.view);
  let password = $state('');
</script>

{#if view}
  <div class="page">
    <h2>{texts.callbookOnTheNetwork}</h2>
    <p class="muted wide">
      {texts.askedAboutEachCallYou}
    </p>
    <SavingInput
      label={texts.address}
      placeholder={texts.none}
      value={view.address ?? ''}
      saved={store.saving.saved('address')}
      fault={store.saving.fault('address', 'address')}
      onsave={(address) => store.save('address', { address })}
    />
    <SavingInput
      label={texts.accountName}
      value={view.account ?? ''}
      saved={store.saving.saved('account')}
      onsave={(account) => store.save('account', { account })}
    />
    <PasswordInput
      size="sm"
      labelText={texts.callbookPassword}
      helperText={view.hasPassword ? texts.oneIsStoredLeaveEmpty : texts.onlyForThisCallbook}
      bind:value={password}
      on:blur={async () => {
        if (password !== '' && (await store.save('password', { password }))) password = '';
      }}
    />
    {#if view.secretNotice}<p class="trouble wide" role="alert">{view.secretNotice}</p>{/if}
    <SavingInput
      label={texts.anAnswerStaysFreshFor}
      value={String(view.freshDays)}
      saved={store.saving.saved('freshDays')}
      fault={store.saving.fault('freshDays', 'freshDays')}
      onsave={(days) => store.save('freshDays', { freshDays: Number(days) || 0 })}
    />
    <p class="act wide">
      <Button
        size="small"
        kind="tertiary"
        disabled={store.doing.busy !== ''}
        on:click={() => void store.test()}>{texts.test}</Button
      >
      <Button
        size="small"
        kind="ghost"
        disabled={!view.hasPassword}
        on:click={() => void store.save('password', { clearPassword: true })}>{texts.clearPassword}</Button
      >
      <Button
        size="small"
        kind="ghost"
        disabled={store.doing.busy !== '' || view.answers === 0}
        on:click={() => void store.forgetAnswers()}
        >{texts.forgetContacts(counted(view.answers, texts.keptAnswer))}</Button
      >
    </p>

    <h2>{texts.callbookInAFile}</h2>
    <p class="muted wide">
      {#if view.fileName && view.fileReadAt}
        <strong>{view.fileName}</strong>
        {texts.withReadUtcANew(
          counted(view.fileEntries, 'station'),
          utcDate(view.fileReadAt),
          utcMinute(view.fileReadAt),
        )}
      {:else}
        {texts.aCsvFileWhoseFirst}
      {/if}
    </p>
    <p class="act wide">
      <FileUploaderButton
        size="small"
        kind="tertiary"
        labelText={texts.chooseAFile}
        disableLabelChanges
        accept={['.csv', '.txt', '.adi', '.adif']}
        on:change={({ detail }) => detail[0] && void store.takeFile(detail[0])}
      />
      {#if view.fileName}
        <Button size="small" kind="ghost" on:click={() => void store.dropFile()}>{texts.dropThisFile}</Button>
      {/if}
    </p>

    <div class="wide" role="status">
      {#if store.doing.busy}<InlineLoading description={store.doing.busy} />{/if}
      {store.doing.notice}
    </div>
    {#if store.doing.problem}<p class="trouble wide" role="alert">{store.doing.problem}</p>{/if}
    <ReferencePanel />
  </div>
{:else if store.doing.problem}
  <p class="trouble" role="alert">{store.doing.problem}</p>
{:else}
  <p class="muted">{texts.reading}</p>
{/if}

<style>
  .page {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 312px));
    gap: 12px 24px;
    max-width: 648px;
  }

  h2,
  .wide {
    grid-column: 1 / -1;
  }

  h2:not(:first-child) {
    margin-top: 12px;
  }

  .act {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
  }
</style>
