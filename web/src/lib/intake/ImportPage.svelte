<script lang="ts">
  import { Button, FileUploaderButton, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import type { AppState } from '../frame/app.svelte';
  import { grouped } from '../shared/format';
  import SourceChoices, { type Choices } from './SourceChoices.svelte';
  import TryoutPanel from './TryoutPanel.svelte';
  import { TryoutStore } from './tryout.svelte';

  let { app }: { app: AppState } = $props();

  /** A card is no service, so none of ours can be meant by it. */
  const PAPER = 'paper card';

  const store = new TryoutStore();
  const NONE: Choices = {
    ownCalls: '',
    placeId: '0',
    operatorCall: '',
    holdDeliveries: false,
    lookUp: false,
  };
  let choices = $state<Choices>({ ...NONE });
  let doubles = $state('MERGE');
  let from = $state('');
  let where = $state('');
  /** Whether something is being dragged over the place to drop it. */
  let over = $state(false);

  const picture = $derived(store.now?.picture);
  const fault = (field: string) => store.problem?.fields.get(field) ?? '';
  const done = $derived(
    picture?.state === 'IMPORTED' || (picture?.state === 'CANCELLED' && picture.changeId),
  );
  /** Which of our services is meant by an origin that the log's confirmations name; 0 for none. */
  let origins = $state<Record<string, string>>({});
  const confirmedBy = $derived(Object.entries(picture?.confirmedBy ?? {}) as [string, number][]);
  const calls = $derived(Object.entries(picture?.ownCalls ?? {}));

  function given(event: SubmitEvent) {
    event.preventDefault();
    void (/^https?:/.test(where.trim()) ? store.address(where.trim()) : store.path(where.trim()));
  }

  const options = () => ({
    ...choices,
    placeId: Number(choices.placeId),
    doubles,
    from: from || undefined,
    origins: Object.fromEntries(
      Object.entries(origins)
        .filter(([, service]) => Number(service) > 0)
        .map(([origin, service]) => [origin, Number(service)]),
    ),
  });

  function dropped(event: DragEvent) {
    event.preventDefault();
    over = false;
    const file = event.dataTransfer?.files[0];
    if (file) {
      void store.file(file);
    }
  }

  const look = () => store.choose(options());

  /** What is imported is what the choices say, also those made since it was looked at last. */
  async function take() {
    await store.choose(options());
    if (store.now?.picture.state === 'READ') {
      await store.take();
    }
  }

  async function undo() {
    if (picture?.changeId !== undefined) {
      await app.changes.undo(picture.changeId);
      await store.cancel();
    }
  }
</script>

{#if !store.now}
  <div class="ways">
    <div
      class="drop"
      class:over
      role="group"
      aria-label="A log to look at"
      ondragover={(event) => {
        event.preventDefault();
        over = true;
      }}
      ondragleave={() => (over = false)}
      ondrop={dropped}
    >
      <FileUploaderButton
        size="small"
        labelText="Choose a log"
        disableLabelChanges
        on:change={(event) => {
          const [file] = event.detail;
          if (file) void store.file(file);
        }}
      />
      <p class="muted">or drop one here: ADI, ADX or Cabrillo, also in gzip or zip</p>
    </div>
    <form onsubmit={given}>
      <TextInput
        size="sm"
        labelText="Or where it lies: a path on this computer, or the address of a device in the house"
        placeholder="/media/stick/log.adi or http://192.168.1.20/log.adi"
        bind:value={where}
        on:input={() => (store.host = '')}
        invalid={fault('path') !== '' || fault('address') !== ''}
        invalidText={fault('path') || fault('address')}
      />
      <Button size="small" type="submit" disabled={store.busy || where.trim() === ''}>
        {store.host ? `Yes, fetch it from ${store.host}` : 'Look at it'}
      </Button>
      {#if store.host}
        <p role="status">This address is the device {store.host}. Is that the one you mean?</p>
      {/if}
    </form>
  </div>
{:else}
  <header>
    <h2 class="mono">{store.now.name}</h2>
    {#if !store.underWay}
      <Button size="small" kind="ghost" on:click={() => void store.cancel()}>Choose another file</Button>
    {/if}
  </header>
  <TryoutPanel {store} />
  {#if done}
    <div class="act">
      <Button size="small" href="#/log">Look at the log</Button>
      <Button size="small" kind="tertiary" on:click={undo}>Undo the import</Button>
    </div>
  {:else if !store.underWay && picture?.state !== 'FAILED'}
    <section class="how" aria-label="Choices">
      <h3>How it is taken in</h3>
      {#if calls.length > 1}
        <p class="muted made">
          Made with {#each calls as [call, n], i (call)}{i > 0 ? ', ' : ''}<span class="mono">{call}</span>
            ({n}){/each}.
        </p>
      {/if}
      {#if confirmedBy.length > 0}
        <div class="origins">
          {#each confirmedBy as [origin, n] (origin)}
            {#if origin === PAPER}
              <p>{grouped(n)} confirmed by {origin}, and kept so.</p>
            {:else}
              <Select
                size="sm"
                labelText={`${grouped(n)} confirmed by ${origin}`}
                bind:selected={() => origins[origin] ?? '0', (service) => (origins[origin] = String(service))}
              >
                <SelectItem value="0" text="kept as confirmed by it" />
                {#each app.lanes.all as lane (lane.id)}
                  <SelectItem value={String(lane.id)} text={`that is ${lane.name} here`} />
                {/each}
              </Select>
            {/if}
          {/each}
        </div>
      {/if}
      <SourceChoices otherwise="left blank" bind:choices places={app.station.view?.places ?? []} {fault} />
      <div class="more-choices">
        <Select size="sm" labelText="Contacts that are in the log already" bind:selected={doubles}>
          <SelectItem value="MERGE" text="take what the log does not have" />
          <SelectItem value="LEAVE" text="leave the log as it is" />
        </Select>
        <TextInput
          size="sm"
          placeholder="2026-05-01"
          labelText="Only from this day on, UTC"
          bind:value={from}
          invalid={fault('from') !== ''}
          invalidText={fault('from')}
        />
      </div>
      <div class="act">
        <Button size="small" on:click={() => void take()}>
          Import {picture ? picture.counts.added + picture.counts.merged : ''} contacts
        </Button>
        <Button size="small" kind="tertiary" on:click={look}>Look again with these choices</Button>
      </div>
    </section>
  {/if}
{/if}
{#if store.problem && store.problem.fields.size === 0}
  <p class="trouble" role="alert">{store.problem.message}</p>
{/if}

<style>
  .ways {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 32px;
    align-items: start;
  }

  .drop {
    display: flex;
    flex-direction: column;
    gap: 8px;
    align-items: center;
    justify-content: center;
    height: 128px;
    border: 1px dashed var(--yb-line-strong);
  }

  .over {
    border: 1px solid var(--yb-accent);
    background: var(--yb-panel);
  }

  form {
    display: flex;
    flex-direction: column;
    gap: 12px;
    align-items: flex-start;
  }

  header {
    display: flex;
    align-items: center;
    justify-content: space-between;
    margin-bottom: 8px;
  }

  .how {
    max-width: 960px;
    margin-top: 24px;
    padding-top: 16px;
    border-top: 1px solid var(--yb-line);
  }

  .how h3 {
    margin-bottom: 12px;
    font-size: 16px;
    font-weight: 600;
  }

  .origins {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 12px;
    margin-bottom: 12px;
  }

  .made {
    margin-bottom: 12px;
  }

  .more-choices {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 12px;
    margin-top: 12px;
  }

  .act {
    display: flex;
    gap: 12px;
    margin-top: 20px;
  }
</style>
