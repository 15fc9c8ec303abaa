<script lang="ts">
  import { Button, PasswordInput } from 'carbon-components-svelte';
  import type { SafetyStore } from './safety.svelte';

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
    This log came from another computer, and its stored passwords are locked. Its key came along, sealed: type
    the passphrase, and Yokebar starts again with it. Or type each password again where it is used.
  </p>
{:else}
  <p class="muted">
    {#if kind === 'KEPT'}
      Backups hold the key that opens stored passwords (<span class="mono">secrets.key</span>), sealed with
      your passphrase. On another computer you are asked for it here.
    {:else}
      Backups do not hold the key that opens stored passwords (<span class="mono">secrets.key</span>): on
      another computer each password is typed again where it is used. With a passphrase, backups hold the key
      too, sealed. The passphrase is stored nowhere; without it the sealed key is worth nothing.
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
    labelText={kind === 'KEPT' ? 'Another passphrase' : 'Passphrase'}
    autocomplete="off"
    bind:value={passphrase}
    invalid={safety.saving.fault('key') !== ''}
    invalidText={safety.saving.fault('key', 'passphrase') || safety.saving.fault('key')}
  />
  <Button size="small" kind="tertiary" type="submit" disabled={working || passphrase === ''}
    >{working ? 'Working…' : kind === 'LOCKED' ? 'Open the key' : 'Seal the key'}</Button
  >
  {#if kind === 'KEPT' || kind === 'LOCKED'}
    <Button
      size="small"
      kind="ghost"
      disabled={working}
      on:click={() => void send((text) => safety.keepKey(text), '')}>Remove the sealed key</Button
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
