<script lang="ts">
  import { Button, PasswordInput } from 'carbon-components-svelte';
  import type { SafetyStore } from './safety.svelte';
  import { texts } from './texts';

  let { safety }: { safety: SafetyStore } = $props();

  let passphrase = $state('');
  const kind = $derived(safety.view?.keyCopy);

  /** Deriving a key from a passphrase is slow on purpose, about a second. */
  let working = $state(false);

  async function send(work: (text: string) => Promise<boolean>, text: string): Promise<void> {
    working = true;
    if (await work(text)) {
      passphrase = '';
    }
    working = false;
  }
</script>

{#if kind === 'LOCKED'}
  <p class="trouble" role="status">
    {texts.thisLogCameFromAnother}
  </p>
{:else}
  <p class="muted">
    {#if kind === 'KEPT'}
      {texts.backupsHoldTheKeyThat}<span class="mono">secrets.key</span>{texts.sealedWithYourPassphraseOn}
    {:else}
      {texts.backupsDoNotHoldThe}<span class="mono">secrets.key</span>{texts.onAnotherComputerEachPassword}
    {/if}
  </p>
{/if}
<form
  class="key"
  onsubmit={(event) => {
    event.preventDefault();
    void send((text) => (kind === 'LOCKED' ? safety.openKey(text) : safety.keepKey(text)), passphrase);
  }}
>
  <PasswordInput
    size="sm"
    labelText={kind === 'KEPT' ? texts.anotherPassphrase : texts.passphrase}
    autocomplete="off"
    bind:value={passphrase}
    invalid={safety.saving.fault('key') !== ''}
    invalidText={safety.saving.fault('key', 'passphrase') || safety.saving.fault('key')}
  />
  <Button size="small" kind="tertiary" type="submit" disabled={working || passphrase === ''}
    >{working ? texts.working : kind === 'LOCKED' ? texts.openTheKey : texts.sealTheKey}</Button
  >
  {#if kind === 'KEPT' || kind === 'LOCKED'}
    <Button
      size="small"
      kind="ghost"
      disabled={working}
      on:click={() => void send((text) => safety.keepKey(text), '')}>{texts.removeTheSealedKey}</Button
    >
  {/if}
</form>

<style>
  .key {
    display: grid;
    grid-template-columns: 1fr auto auto;
    gap: 8px;
    align-items: start;
    margin-top: 8px;
  }

  .key > :global(button) {
    margin-top: 20px;
  }
</style>
