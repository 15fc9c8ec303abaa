<script lang="ts">
  import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { grouped } from '../../platform/shared/format';
  import LogToLookAt from './LogToLookAt.svelte';
  import SourceChoices, { type Choices } from './SourceChoices.svelte';
  import TryoutPanel from './TryoutPanel.svelte';
  import { TryoutStore } from './tryout.svelte';
  import { StationStore } from '../../station/profile/station.svelte';
  import { LaneStore } from '../../services/delivery/lanes.svelte';
  import { ChangeStore } from '../../log/change/changes.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const station = useStore(StationStore);
  const lanes = useStore(LaneStore);
  const changes = useStore(ChangeStore);

  /** A card is not a service, so none of ours can be meant by it. */
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

  const picture = $derived(store.now?.picture);
  const fault = (field: string) => store.problem?.fields.get(field) ?? '';
  const done = $derived(
    picture?.state === 'IMPORTED' || (picture?.state === 'CANCELLED' && picture.changeId),
  );
  /** Which of our services is meant by an origin that the log's confirmations name; 0 for none. */
  let origins = $state<Record<string, string>>({});
  const confirmedBy = $derived(Object.entries(picture?.confirmedBy ?? {}) as [string, number][]);
  const calls = $derived(Object.entries(picture?.ownCalls ?? {}));

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
      await changes.undo(picture.changeId);
      await store.cancel();
    }
  }
</script>

{#if !store.now}
  <LogToLookAt {store} />
{:else}
  <header>
    <h2 class="mono">{store.now.name}</h2>
    {#if !store.underWay}
      <Button size="small" kind="ghost" on:click={() => void store.cancel()}>{texts.chooseAnotherFile}</Button
      >
    {/if}
  </header>
  <TryoutPanel {store} />
  {#if done}
    <div class="act">
      <Button size="small" href="#/log">{texts.lookAtTheLog}</Button>
      <Button size="small" kind="tertiary" on:click={undo}>{texts.undoTheImport}</Button>
    </div>
  {:else if !store.underWay && picture?.state !== 'FAILED'}
    <section class="how" aria-label={texts.choices}>
      <h3>{texts.howItIsTakenIn}</h3>
      {#if calls.length > 1}
        <p class="muted made">
          {texts.madeWith}
          {#each calls as [call, n], i (call)}{i > 0 ? ', ' : ''}<span class="mono">{call}</span>
            ({n}){/each}.
        </p>
      {/if}
      {#if confirmedBy.length > 0}
        <div class="origins">
          {#each confirmedBy as [origin, n] (origin)}
            {#if origin === PAPER}
              <p>{texts.confirmedByAndKeptSo(grouped(n), origin)}</p>
            {:else}
              <Select
                size="sm"
                labelText={texts.countConfirmedBy(grouped(n), origin)}
                bind:selected={() => origins[origin] ?? '0', (service) => (origins[origin] = String(service))}
              >
                <SelectItem value="0" text={texts.keptAsConfirmedByIt} />
                {#each lanes.all as lane (lane.id)}
                  <SelectItem value={String(lane.id)} text={texts.thatIsHere(lane.name)} />
                {/each}
              </Select>
            {/if}
          {/each}
        </div>
      {/if}
      <SourceChoices otherwise={texts.leftBlank} bind:choices places={station.view?.places ?? []} {fault} />
      <div class="more-choices">
        <Select size="sm" labelText={texts.contactsThatAreInThe} bind:selected={doubles}>
          <SelectItem value="MERGE" text={texts.takeWhatTheLogDoes} />
          <SelectItem value="LEAVE" text={texts.leaveTheLogAsIt} />
        </Select>
        <TextInput
          size="sm"
          placeholder="2026-05-01"
          labelText={texts.onlyFromThisDayOn}
          bind:value={from}
          invalid={fault('from') !== ''}
          invalidText={fault('from')}
        />
      </div>
      <div class="act">
        <Button size="small" on:click={() => void take()}>
          {texts.importContactsWords(picture ? picture.counts.added + picture.counts.merged : '')}
        </Button>
        <Button size="small" kind="tertiary" on:click={look}>{texts.lookAgainWithTheseChoices}</Button>
      </div>
    </section>
  {/if}
{/if}
{#if store.problem && store.problem.fields.size === 0}
  <p class="trouble" role="alert">{store.problem.message}</p>
{/if}

<style>
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
