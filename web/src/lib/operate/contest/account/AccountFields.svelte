<script lang="ts">
  import { Button, PasswordInput } from 'carbon-components-svelte';
  import type { Snippet } from 'svelte';
  import SavingInput from '../../../platform/shared/SavingInput.svelte';
  import type { AccountForm } from './account.svelte';
  import { texts } from './texts';

  interface Props {
    store: AccountForm;
    /** Of the whole form. */
    label: string;
    /** As in "Only for this scoreboard". */
    name: string;
    /** What is said below the fields while nothing else is. */
    hint: string;
    /** Further fields. */
    children?: Snippet;
  }

  let { store, label, name, hint, children }: Props = $props();

  const view = $derived(store.view);
  let password = $state('');
</script>

{#if view}
  <div class="setup" role="group" aria-label={label}>
    <SavingInput
      label={texts.address}
      placeholder={texts.none}
      value={view.address ?? ''}
      saved={store.saving.saved('address')}
      fault={store.saving.fault('address', 'address')}
      onsave={(address) => store.save('address', { address })}
    />
    <SavingInput
      label={texts.account}
      placeholder={texts.none}
      value={view.account ?? ''}
      saved={store.saving.saved('account')}
      fault={store.saving.fault('account', 'account')}
      onsave={(account) => store.save('account', { account })}
    />
    <PasswordInput
      size="sm"
      labelText={texts.password}
      helperText={view.hasPassword ? texts.oneIsStored : texts.onlyForThis(name)}
      bind:value={password}
      on:blur={async () => {
        if (password !== '' && (await store.save('password', { password }))) password = '';
      }}
    />
    {@render children?.()}
    <div class="act">
      <Button size="small" kind="tertiary" disabled={store.busy} on:click={() => void store.test()}
        >{texts.test}</Button
      >
      <Button
        size="small"
        kind="ghost"
        disabled={!view.hasPassword}
        on:click={() => void store.save('password', { clearPassword: true })}>{texts.clearPassword}</Button
      >
    </div>
  </div>
  {#if view.secretNotice}<p class="trouble" role="alert">{view.secretNotice}</p>{/if}
  <p class="muted">
    {#if store.busy}{texts.asking(name)}{:else if store.notice}<span role="status">{store.notice}</span>
    {:else}{hint}{/if}
  </p>
{/if}

<style>
  .setup {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
    gap: 8px 24px;
    align-items: start;
    max-width: 1040px;
  }

  .act {
    display: flex;
    gap: 8px;
    padding-top: 22px;
  }

  p {
    margin: 8px 0 16px;
  }
</style>
