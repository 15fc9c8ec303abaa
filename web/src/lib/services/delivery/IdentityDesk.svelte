<script lang="ts">
  import { Button, FileUploaderButton, PasswordInput, Select, SelectItem } from 'carbon-components-svelte';
  import { Problem, type Lane, type LaneIdentity, type PlaceView } from '../../platform/api/client';
  import { utcDate } from '../../platform/shared/format';
  import IdentityAsk from './IdentityAsk.svelte';
  import IdentityRequests from './IdentityRequests.svelte';
  import type { LaneStore } from './lanes.svelte';

  let { lane, lanes, places }: { lane: Lane; lanes: LaneStore; places: readonly PlaceView[] } = $props();

  let form = $state<'none' | 'ask' | 'install' | number>('none');
  let files = $state<readonly File[]>([]);
  let passphrase = $state('');
  let problem = $state<Problem | undefined>(undefined);
  let notice = $state('');
  /** The identity that is about to be taken away, once the operator says so a second time. */
  let leaving = $state<number | undefined>(undefined);

  async function run(action: () => Promise<void>, done: string) {
    problem = undefined;
    notice = '';
    try {
      await action();
      notice = done;
      form = 'none';
      leaving = undefined;
      passphrase = '';
    } catch (e) {
      problem = e instanceof Problem ? e : new Problem(String(e));
    }
  }

  function install(event: SubmitEvent) {
    event.preventDefault();
    const file = files[0];
    if (!file) {
      problem = new Problem('Choose the identity file first, usually named .p12 or .pfx.');
      return;
    }
    void run(
      () => lanes.install(lane.id, file, passphrase),
      'Installed. Contacts it covers are released now.',
    );
  }

  function keep(event: SubmitEvent, identity: LaneIdentity) {
    event.preventDefault();
    void run(
      () => lanes.exportIdentity(lane.id, identity, passphrase),
      'Saved as a file. Keep it, and its passphrase, in two places.',
    );
  }

  function setPlace(identity: LaneIdentity, placeId: number) {
    const name = places.find((place) => place.id === placeId)?.name;
    void run(
      () => lanes.setPlace(lane.id, identity.id, placeId),
      name
        ? `Contacts made as ${identity.call} are sent as made from ${name} unless they say otherwise.`
        : `Contacts made as ${identity.call} are sent with the place they say, or none.`,
    );
  }

  async function tryIt(identity: LaneIdentity) {
    problem = undefined;
    notice = '';
    const proof = await lanes.testIdentity(lane.id, identity.id);
    if (proof.works) notice = proof.sentence;
    else problem = new Problem(proof.sentence);
  }

  function leave(id: number) {
    leaving = leaving === id ? undefined : id;
  }

  function toggle(which: typeof form) {
    form = form === which ? 'none' : which;
    problem = undefined;
    passphrase = '';
  }
</script>

{#each lane.identities as identity (identity.id)}
  <div class="column-form">
    <p>
      <span class="mono call">{identity.call}</span>
      <span class="muted"
        >covers contacts from <span class="day">{utcDate(identity.validFrom)}</span> to
        <span class="day">{utcDate(identity.validUntil)}</span>{#if identity.certificateEnds}; to be renewed
          by
          <span class="day">{utcDate(identity.certificateEnds)}</span>{/if}</span
      >
    </p>
    {#if identity.notice}<p class="trouble" role="alert">{identity.notice}</p>{/if}
    {#if places.length > 0}
      <Select
        size="sm"
        labelText="Place of contacts that do not say theirs"
        selected={identity.placeId ?? 0}
        on:update={(event) => setPlace(identity, Number(event.detail))}
      >
        <SelectItem value={0} text="none is sent" />
        {#each places as place (place.id)}
          <SelectItem
            value={place.id}
            text={place.locator ? `${place.name}, ${place.locator}` : place.name}
          />
        {/each}
      </Select>
    {/if}
    <div class="keys">
      <button onclick={() => tryIt(identity)}>Try</button>
      <button
        onclick={() =>
          run(() => lanes.renew(lane.id, identity.id), `The certificate of ${identity.call} is renewed.`)}
        >Renew</button
      >
      <button aria-pressed={form === identity.id} onclick={() => toggle(identity.id)}>Keep as a file</button>
      <button aria-pressed={leaving === identity.id} onclick={() => leave(identity.id)}>Take away</button>
    </div>
    {#if leaving === identity.id}
      <div class="leaving" role="group" aria-label={`Take ${identity.call} away`}>
        <p>Its key is removed with it. Without a copy as a file you need a new request and a new letter.</p>
        <Button
          kind="danger-tertiary"
          size="small"
          on:click={() =>
            run(
              () => lanes.removeIdentity(lane.id, identity.id),
              `Taken away. Contacts made as ${identity.call} are held.`,
            )}>Take it away for good</Button
        >
      </div>
    {/if}
    {#if form === identity.id}
      <form class="column-form" onsubmit={(event) => keep(event, identity)} aria-label="Identity as a file">
        <PasswordInput
          size="sm"
          labelText="Passphrase for the new file"
          helperText="At least 8 characters. It protects this file only and is not stored."
          bind:value={passphrase}
        />
        <Button type="submit" size="small">Save the file</Button>
      </form>
    {/if}
  </div>
{:else}
  <p class="muted">None installed. Without one, every contact is held back.</p>
{/each}

<IdentityRequests {lane} {lanes} {run} {problem} />

<div class="keys">
  <button aria-pressed={form === 'ask'} onclick={() => toggle('ask')}>Ask for one</button>
  <button aria-pressed={form === 'install'} onclick={() => toggle('install')}>Install from a file</button>
</div>

{#if form === 'ask'}
  <IdentityAsk {lane} {lanes} {run} {problem} />
{:else if form === 'install'}
  <form class="column-form" onsubmit={install} aria-label="Install an identity">
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
{/if}
{#if problem}<p class="trouble" role="alert">{problem.message}</p>{/if}
{#if notice}<p role="status">{notice}</p>{/if}

<style>
  .day {
    white-space: nowrap;
  }

  .leaving {
    padding: 8px 12px;
    border-left: 3px solid var(--yb-trouble);
  }

  .leaving p {
    margin-bottom: 8px;
  }

  .call {
    font-weight: 600;
  }
</style>
