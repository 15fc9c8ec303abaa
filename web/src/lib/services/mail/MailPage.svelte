<script lang="ts">
  import { Button, ProgressBar, TextInput } from 'carbon-components-svelte';
  import { onDestroy } from 'svelte';
  import { Problem } from '../../platform/api/client';
  import { counted, grouped } from '../../platform/shared/format';
  import { MailStore } from './mail.svelte';
  import { StationStore } from '../../station/profile/station.svelte';
  import { LaneStore } from '../delivery/lanes.svelte';
  import { useStore } from '../../platform/page/stores';

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
  <section aria-label="Gateway">
    <h2>Gateway</h2>
    {#if mail.view?.address && !editing}
      <p>
        <span class="mono">{mail.view.address}</span> as <span class="mono">{mail.view.callSign}</span>
        <button class="more" onclick={() => (editing = true)}>Change</button>
      </p>
    {:else}
      <form class="column-form" onsubmit={save} aria-label="Radio mail gateway">
        <TextInput
          size="sm"
          labelText="Gateway, host:port"
          bind:value={address}
          invalid={problem?.fields.has('address')}
          invalidText={problem?.fields.get('address')}
        />
        <TextInput
          size="sm"
          labelText="Called as"
          bind:value={callSign}
          invalid={problem?.fields.has('callSign')}
          invalidText={problem?.fields.get('callSign')}
        />
        <Button type="submit" size="small">Save</Button>
      </form>
    {/if}
    <p class="muted">
      A letter holds a signed batch, cut into parts of at most 120 kB. Its contacts are handed over once the
      gateway has all of it, and accepted once Countersign says so: mail alone proves nothing.
    </p>
  </section>

  <section aria-label="Outbox">
    <h2>Outbox</h2>
    {#if problem}<p class="trouble" role="alert">{problem.message}</p>{/if}
    <div class="act">
      <Button kind="tertiary" size="small" disabled={!mail.view?.due} on:click={() => act(() => mail.pack())}
        >{mail.view?.due
          ? `Pack ${counted(mail.view.due, 'due contact')}`
          : mail.view?.letters.length
            ? 'All that is due is packed'
            : 'Nothing is due'}</Button
      >
      {#if mail.view?.session.sending}
        <Button kind="danger-tertiary" size="small" on:click={() => act(() => mail.end())}>Stop</Button>
      {:else}
        <Button
          size="small"
          disabled={!mail.view?.address || mail.view.letters.length === 0}
          on:click={() => act(() => mail.begin())}>Begin a session</Button
        >
      {/if}
    </div>
    {#if mail.view?.session.sending}
      <ProgressBar
        size="sm"
        labelText="Acknowledged by the gateway"
        value={mail.view.session.bytes}
        max={Math.max(1, mail.view.session.total)}
        helperText={`${kilobytes(mail.view.session.bytes)} of ${kilobytes(mail.view.session.total)} kB, ${grouped(mail.view.session.bytesPerSecond)} bytes a second${mail.view.session.bytesPerSecond > 0 ? `, ${grouped(Math.ceil(left / mail.view.session.bytesPerSecond))} s to go` : ''}`}
      />
    {:else if mail.view?.session.sentence}
      <p role="status">{mail.view.session.sentence}</p>
    {/if}
    {#if mail.view && mail.view.letters.length === 0}
      <p class="muted">
        The outbox is empty. While the network is away, pack what is due here and begin a session when the
        radio has a link; an interrupted session goes on where it stopped.
      </p>
    {:else if mail.view}
      <table class="list">
        <thead>
          <tr
            ><th>Letter</th><th class="number">Contacts</th><th class="number">Parts there</th><th
              class="number">Acknowledged</th
            ><th><span class="visually-hidden">Do</span></th></tr
          >
        </thead>
        <tbody>
          {#each mail.view.letters as letter (letter.handoverId)}
            <tr>
              <td>Handover <span class="mono">{letter.handoverId}</span></td>
              <td class="mono number">{grouped(letter.contacts)}</td>
              <td class="mono number">{letter.partsTaken} of {letter.parts}</td>
              <td class="mono number">{kilobytes(letter.sentBytes)} of {kilobytes(letter.bytes)} kB</td>
              <td class="last">
                <Button
                  kind="ghost"
                  size="small"
                  disabled={mail.view.session.sending}
                  on:click={() => act(() => mail.takeBack(letter.handoverId))}>Take back</Button
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
