<script lang="ts">
  import {
    Button,
    Checkbox,
    FileUploaderButton,
    InlineLoading,
    PasswordInput,
  } from 'carbon-components-svelte';
  import { counted, grouped, utcDate, utcMinute } from '../../platform/shared/format';
  import SavingInput from '../../platform/shared/SavingInput.svelte';
  import { CallbookStore } from './callbook.svelte';

  const store = new CallbookStore();
  void store.load();

  const view = $derived(store.view);
  const reference = $derived(store.reference);
  let password = $state('');
</script>

{#if view && reference}
  <div class="page">
    <h2>Callbook on the network</h2>
    <p class="muted wide">
      Asked about each call you type or point at. Its answers fill the partner card and the fields you left
      empty, and are kept for use without a network.
    </p>
    <SavingInput
      label="Address"
      placeholder="none"
      value={view.address ?? ''}
      saved={store.saving.saved('address')}
      fault={store.saving.fault('address', 'address')}
      onsave={(address) => store.save('address', { address })}
    />
    <SavingInput
      label="Account name"
      value={view.account ?? ''}
      saved={store.saving.saved('account')}
      onsave={(account) => store.save('account', { account })}
    />
    <PasswordInput
      size="sm"
      labelText="Callbook password"
      helperText={view.hasPassword ? 'One is stored. Leave empty to keep it.' : 'Only for this callbook.'}
      bind:value={password}
      on:blur={async () => {
        if (password !== '' && (await store.save('password', { password }))) password = '';
      }}
    />
    {#if view.secretNotice}<p class="trouble wide" role="alert">{view.secretNotice}</p>{/if}
    <SavingInput
      label="An answer stays fresh for, days"
      value={String(view.freshDays)}
      saved={store.saving.saved('freshDays')}
      fault={store.saving.fault('freshDays', 'freshDays')}
      onsave={(days) => store.save('freshDays', { freshDays: Number(days) || 0 })}
    />
    <p class="act wide">
      <Button size="small" kind="tertiary" disabled={store.busy !== ''} on:click={() => void store.test()}
        >Test</Button
      >
      <Button
        size="small"
        kind="ghost"
        disabled={!view.hasPassword}
        on:click={() => void store.save('password', { clearPassword: true })}>Clear password</Button
      >
      <Button
        size="small"
        kind="ghost"
        disabled={store.busy !== '' || view.answers === 0}
        on:click={() => void store.forgetAnswers()}>Forget {counted(view.answers, 'kept answer')}</Button
      >
    </p>

    <h2>Callbook in a file</h2>
    <p class="muted wide">
      {#if view.fileName && view.fileReadAt}
        <strong>{view.fileName}</strong> with {counted(view.fileEntries, 'station')}, read {utcDate(
          view.fileReadAt,
        )}
        {utcMinute(view.fileReadAt)} UTC. A new file takes its place.
      {:else}
        A CSV file whose first line names its columns (call, name, qth, state, country, locator), or an ADI
        file. It serves where the network's callbook knows nothing.
      {/if}
    </p>
    <p class="act wide">
      <FileUploaderButton
        size="small"
        kind="tertiary"
        labelText="Choose a file"
        disableLabelChanges
        accept={['.csv', '.txt', '.adi', '.adif']}
        on:change={({ detail }) => detail[0] && void store.takeFile(detail[0])}
      />
      {#if view.fileName}
        <Button size="small" kind="ghost" on:click={() => void store.dropFile()}>Drop this file</Button>
      {/if}
    </p>

    <h2>List of entities</h2>
    <p class="muted wide">
      Edition <span class="mono">{reference.edition}</span> with {grouped(reference.entities)} entities is in use{#if reference.edition !== reference.shipped};
        the one that came with Yokebar is of
        <span class="mono">{reference.shipped}</span>{/if}. A newer one is checked before it takes its place.
    </p>
    <SavingInput
      label="Publisher's address"
      placeholder="none"
      value={reference.address ?? ''}
      saved={store.saving.saved('publisher')}
      fault={store.saving.fault('publisher', 'address')}
      onsave={(address) => store.saveReference('publisher', { address })}
    />
    <div class="daily">
      <Checkbox
        labelText="Look once a day"
        checked={reference.daily}
        on:check={({ detail }) =>
          detail !== reference.daily && void store.saveReference('daily', { daily: detail })}
      />
    </div>
    <p class="act wide">
      <Button
        size="small"
        kind="tertiary"
        disabled={store.busy !== '' || !reference.address}
        on:click={() => void store.look()}>Look now</Button
      >
      {#if reference.outcome && reference.lookedAt}
        <span class:trouble={reference.failed} role="status"
          >{utcDate(reference.lookedAt)} {utcMinute(reference.lookedAt)} UTC: {reference.outcome}</span
        >
      {/if}
    </p>
    <div class="wide" role="status">
      {#if store.busy}<InlineLoading description={store.busy} />{/if}
      {store.notice}
    </div>
    {#if store.problem}<p class="trouble wide" role="alert">{store.problem}</p>{/if}
  </div>
{:else if store.problem}
  <p class="trouble" role="alert">{store.problem}</p>
{:else}
  <p class="muted">Reading…</p>
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

  .daily {
    align-self: end;
  }

  .daily :global(.bx--form-item) {
    margin: 0;
  }
</style>
