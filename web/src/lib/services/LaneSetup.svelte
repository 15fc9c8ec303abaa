<script lang="ts">
  import { Button, FileUploaderButton, PasswordInput, TextInput } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import { Problem, type Lane } from '../api/client';
  import { utcDate } from '../shared/format';
  import type { LaneStore } from './lanes.svelte';

  let { lane, lanes }: { lane: Lane; lanes: LaneStore } = $props();

  let address = $state(untrack(() => lane.address ?? ''));
  let account = $state(untrack(() => lane.account ?? ''));
  let password = $state('');
  let files = $state<readonly File[]>([]);
  let passphrase = $state('');
  let problem = $state<Problem | undefined>(undefined);
  let said = $state('');

  async function run(action: () => Promise<void>, done: string) {
    problem = undefined;
    said = '';
    try {
      await action();
      said = done;
    } catch (e) {
      problem = e instanceof Problem ? e : new Problem(String(e));
    }
  }

  function saveAccount(event: SubmitEvent) {
    event.preventDefault();
    void run(async () => {
      await lanes.change(lane.id, { address, account, password: password || undefined });
      password = '';
    }, 'Saved. Try it with Test under Hookups.');
  }

  function install(event: SubmitEvent) {
    event.preventDefault();
    const file = files[0];
    if (!file) {
      problem = new Problem('Choose the identity file first, usually named .p12 or .pfx.');
      return;
    }
    void run(async () => {
      await lanes.install(lane.id, file, passphrase);
      passphrase = '';
    }, 'Installed. Contacts it covers are released now.');
  }
</script>

<div class="setup">
  <form onsubmit={saveAccount} aria-label="Account">
    <h3>Account</h3>
    <TextInput
      size="sm"
      labelText="Address"
      placeholder="https://host/path"
      bind:value={address}
      invalid={problem?.fields.has('address')}
      invalidText={problem?.fields.get('address')}
    />
    <TextInput size="sm" labelText="Account name" bind:value={account} />
    <PasswordInput
      size="sm"
      labelText="Account password"
      helperText={lane.hasPassword
        ? 'One is stored. Leave empty to keep it. It is not the passphrase of the identity.'
        : 'For fetching and asking. It is not the passphrase of the identity.'}
      bind:value={password}
    />
    <Button type="submit" size="small">Save account</Button>
  </form>
  <form onsubmit={install} aria-label="Signing identity">
    <h3>Signing identity</h3>
    {#each lane.identities as identity (identity.call + identity.validFrom)}
      <p>
        <span class="mono">{identity.call}</span>
        <span class="muted"
          >covers contacts from {utcDate(identity.validFrom)} to {utcDate(identity.validUntil)}</span
        >
      </p>
    {:else}
      <p class="muted">None installed. Without one, every contact is held back.</p>
    {/each}
    <FileUploaderButton
      kind="tertiary"
      size="small"
      labelText="Choose identity file"
      accept={['.p12', '.pfx']}
      bind:files
    />
    <PasswordInput
      size="sm"
      labelText="Passphrase of the file"
      helperText="Given when the identity was exported. It is not the account's password."
      bind:value={passphrase}
    />
    <Button type="submit" size="small">Install identity</Button>
  </form>
  {#if problem}<p class="trouble wide" role="alert">{problem.message}</p>{/if}
  {#if said}<p class="wide" role="status">{said}</p>{/if}
</div>

<style>
  .setup {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 16px 40px;
    margin-top: 16px;
    padding: 16px;
    border: 1px solid var(--yb-line);
  }

  form {
    display: flex;
    flex-direction: column;
    align-items: stretch;
    gap: 12px;
  }

  form :global(.bx--btn) {
    align-self: flex-start;
  }

  h3 {
    font-size: 14px;
    font-weight: 600;
  }

  .wide {
    grid-column: 1 / -1;
  }
</style>
