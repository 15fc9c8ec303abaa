<script lang="ts">
  import { Button, ProgressBar, TextInput } from 'carbon-components-svelte';
  import { onDestroy } from 'svelte';
  import { Problem } from '../../platform/api/client';
  import { counted, grouped } from '../../platform/shared/format';
  import { MailStore } from './mail.svelte';
  import { StationStore } from '../../station/profile/station.svelte';
  import { LaneStore } from '../delivery/lanes.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const station = useStore(StationStore);
  const lanes = useStore(LaneStore);

  const mail = new MailStore();
  let address = $state('');
  let callSign = $state('');
  let problem = $state<Problem | undefined>(undefined);
  let editing = $state(false);

  const kilobytes = (bytes: number) => (bytes / 1000).toFixed(bytes < 10_000 ? 1 : 0);
  const left = $derived(mail.view ? mail.view.session.total - mail.view.session.bytes : 0);

  async function act(action: () => Promise<void>) {
    problem = undefined;
    try {
      await action();
    } catch (e) {
      problem = e instanceof Problem ? e : new Problem(String(e));
    }
  }

  $effect(() => {
    void lanes.all;
    void act(async () => {
      await mail.load();
      if (!address) address = mail.view?.address ?? '';
      if (!callSign) callSign = mail.view?.callSign ?? station.view?.ownCall ?? '';
    });
  });

  onDestroy(() => mail.stopWatching());

  function save(event: SubmitEvent) {
    event.preventDefault();
    void act(async () => {
      await mail.setGateway(address, callSign);
      editing = false;
    });
  }
</script>

<div class="mail">
  <section aria-label={texts.gateway}>
    <h2>{texts.gateway}</h2>
    {#if mail.view?.address && !editing}
      <p>
        <span class="mono">{mail.view.address}</span>
        {texts.as} <span class="mono">{mail.view.callSign}</span>
        <button class="more" onclick={() => (editing = true)}>{texts.change}</button>
      </p>
    {:else}
      <form class="column-form" onsubmit={save} aria-label={texts.radioMailGateway}>
        <TextInput
          size="sm"
          labelText={texts.gatewayHostPort}
          bind:value={address}
          invalid={problem?.fields.has('address')}
          invalidText={problem?.fields.get('address')}
        />
        <TextInput
          size="sm"
          labelText={texts.calledAs}
          bind:value={callSign}
          invalid={problem?.fields.has('callSign')}
          invalidText={problem?.fields.get('callSign')}
        />
        <Button type="submit" size="small">{texts.save}</Button>
      </form>
    {/if}
    <p class="muted">
      {texts.aLetterHoldsASigned}
    </p>
  </section>

  <section aria-label={texts.outbox}>
    <h2>{texts.outbox}</h2>
    {#if problem}<p class="trouble" role="alert">{problem.message}</p>{/if}
    <div class="act">
      <Button kind="tertiary" size="small" disabled={!mail.view?.due} on:click={() => act(() => mail.pack())}
        >{mail.view?.due
          ? texts.packContacts(counted(mail.view.due, texts.dueContact))
          : mail.view?.letters.length
            ? texts.allThatIsDueIs
            : texts.nothingIsDue}</Button
      >
      {#if mail.view?.session.sending}
        <Button kind="danger-tertiary" size="small" on:click={() => act(() => mail.end())}
          >{texts.stop}</Button
        >
      {:else}
        <Button
          size="small"
          disabled={!mail.view?.address || mail.view.letters.length === 0}
          on:click={() => act(() => mail.begin())}>{texts.beginASession}</Button
        >
      {/if}
    </div>
    {#if mail.view?.session.sending}
      <ProgressBar
        size="sm"
        labelText={texts.acknowledgedByTheGateway}
        value={mail.view.session.bytes}
        max={Math.max(1, mail.view.session.total)}
        helperText={texts.ofKbBytesASecond(
          kilobytes(mail.view.session.bytes),
          kilobytes(mail.view.session.total),
          grouped(mail.view.session.bytesPerSecond),
          mail.view.session.bytesPerSecond > 0
            ? `, ${grouped(Math.ceil(left / mail.view.session.bytesPerSecond))} s to go`
            : '',
        )}
      />
    {:else if mail.view?.session.sentence}
      <p role="status">{mail.view.session.sentence}</p>
    {/if}
    {#if mail.view && mail.view.letters.length === 0}
      <p class="muted">
        {texts.theOutboxIsEmptyWhile}
      </p>
    {:else if mail.view}
      <table class="list">
        <thead>
          <tr
            ><th>{texts.letter}</th><th class="number">{texts.contacts}</th><th class="number"
              >{texts.partsThere}</th
            ><th class="number">{texts.acknowledged}</th><th
              ><span class="visually-hidden">{texts.do}</span></th
            ></tr
          >
        </thead>
        <tbody>
          {#each mail.view.letters as letter (letter.handoverId)}
            <tr>
              <td>{texts.handover} <span class="mono">{letter.handoverId}</span></td>
              <td class="mono number">{grouped(letter.contacts)}</td>
              <td class="mono number">{texts.ofPartsTaken(letter.partsTaken, letter.parts)}</td>
              <td class="mono number"
                >{texts.ofKbSentBytes(kilobytes(letter.sentBytes), kilobytes(letter.bytes))}</td
              >
              <td class="last">
                <Button
                  kind="ghost"
                  size="small"
                  disabled={mail.view.session.sending}
                  on:click={() => act(() => mail.takeBack(letter.handoverId))}>{texts.takeBack}</Button
                >
              </td>
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
  </section>
</div>

<style>
  .mail {
    display: grid;
    grid-template-columns: minmax(260px, 1fr) minmax(420px, 2fr);
    gap: 32px;
  }

  section {
    display: flex;
    flex-direction: column;
    gap: 12px;
  }

  .act {
    display: flex;
    gap: 8px;
  }

  td {
    height: 34px;
  }

  .number,
  .last {
    text-align: right;
  }

  @media (max-width: 900px) {
    .mail {
      grid-template-columns: 1fr;
    }
  }
</style>
