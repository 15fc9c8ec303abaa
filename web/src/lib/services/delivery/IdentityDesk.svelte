<script lang="ts">
  import { Button, FileUploaderButton, PasswordInput, Select, SelectItem } from 'carbon-components-svelte';
  import { Problem, type Lane, type LaneIdentity, type PlaceView } from '../../platform/api/client';
  import { utcDate } from '../../platform/shared/format';
  import IdentityAsk from './IdentityAsk.svelte';
  import IdentityRequests from './IdentityRequests.svelte';
  import type { LaneStore } from './lanes.svelte';
  import { texts } from './texts';

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
      problem = new Problem(texts.chooseTheIdentityFileFirst);
      return;
    }
    void run(() => lanes.install(lane.id, file, passphrase), texts.installedContactsItCoversAre);
  }

  function keep(event: SubmitEvent, identity: LaneIdentity) {
    event.preventDefault();
    void run(() => lanes.exportIdentity(lane.id, identity, passphrase), texts.savedAsAFileKeep);
  }

  function setPlace(identity: LaneIdentity, placeId: number) {
    const name = places.find((place) => place.id === placeId)?.name;
    void run(
      () => lanes.setPlace(lane.id, identity.id, placeId),
      name
        ? texts.contactsMadeAsAreSent(identity.call, name)
        : texts.contactsMadeAsAreSentWith(identity.call),
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
        >{texts.coversContactsFrom} <span class="day">{utcDate(identity.validFrom)}</span>
        {texts.to}
        <span class="day">{utcDate(identity.validUntil)}</span
        >{#if identity.certificateEnds}{texts.toBeRenewedBy}
          <span class="day">{utcDate(identity.certificateEnds)}</span>{/if}</span
      >
    </p>
    {#if identity.notice}<p class="trouble" role="alert">{identity.notice}</p>{/if}
    {#if places.length > 0}
      <Select
        size="sm"
        labelText={texts.placeOfContactsThatDo}
        selected={identity.placeId ?? 0}
        on:update={(event) => setPlace(identity, Number(event.detail))}
      >
        <SelectItem value={0} text={texts.noneIsSent} />
        {#each places as place (place.id)}
          <SelectItem
            value={place.id}
            text={place.locator ? `${place.name}, ${place.locator}` : place.name}
          />
        {/each}
      </Select>
    {/if}
    <div class="keys">
      <button onclick={() => tryIt(identity)}>{texts.try}</button>
      <button
        onclick={() =>
          run(() => lanes.renew(lane.id, identity.id), texts.theCertificateOfIsRenewed(identity.call))}
        >{texts.renew}</button
      >
      <button aria-pressed={form === identity.id} onclick={() => toggle(identity.id)}
        >{texts.keepAsAFile}</button
      >
      <button aria-pressed={leaving === identity.id} onclick={() => leave(identity.id)}
        >{texts.takeAway}</button
      >
    </div>
    {#if leaving === identity.id}
      <div class="leaving" role="group" aria-label={texts.takeAwayCall(identity.call)}>
        <p>{texts.itsKeyIsRemovedWith}</p>
        <Button
          kind="danger-tertiary"
          size="small"
          on:click={() =>
            run(
              () => lanes.removeIdentity(lane.id, identity.id),
              texts.takenAwayContactsMadeAs(identity.call),
            )}>{texts.takeItAwayForGood}</Button
        >
      </div>
    {/if}
    {#if form === identity.id}
      <form
        class="column-form"
        onsubmit={(event) => keep(event, identity)}
        aria-label={texts.identityAsAFile}
      >
        <PasswordInput
          size="sm"
          labelText={texts.passphraseForTheNewFile}
          helperText={texts.atLeast8CharactersIt}
          bind:value={passphrase}
        />
        <Button type="submit" size="small">{texts.saveTheFile}</Button>
      </form>
    {/if}
  </div>
{:else}
  <p class="muted">{texts.noneInstalledWithoutOneEvery}</p>
{/each}

<IdentityRequests {lane} {lanes} {run} {problem} />

<div class="keys">
  <button aria-pressed={form === 'ask'} onclick={() => toggle('ask')}>{texts.askForOne}</button>
  <button aria-pressed={form === 'install'} onclick={() => toggle('install')}>{texts.installFromAFile}</button
  >
</div>

{#if form === 'ask'}
  <IdentityAsk {lane} {lanes} {run} {problem} />
{:else if form === 'install'}
  <form class="column-form" onsubmit={install} aria-label={texts.installAnIdentity}>
    <FileUploaderButton
      kind="tertiary"
      size="small"
      labelText={texts.chooseIdentityFile}
      accept={['.p12', '.pfx']}
      bind:files
    />
    <PasswordInput
      size="sm"
      labelText={texts.passphraseOfTheFile}
      helperText={texts.givenWhenTheIdentityWas}
      bind:value={passphrase}
    />
    <Button type="submit" size="small">{texts.installIdentity}</Button>
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
