<script lang="ts">
  import { Button, ProgressBar } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import type { Lane } from '../platform/api/client';
  import { STATE_WORDS } from '../sources/hookup/hookups.svelte';
  import { clock } from '../platform/shared/clock.svelte';
  import { counted, grouped, until, utcDate } from '../platform/shared/format';
  import Notch from '../platform/shared/Notch.svelte';
  import ComingBack from './confirm/ComingBack.svelte';
  import GoingOut from './delivery/GoingOut.svelte';
  import LaneSetup from './delivery/LaneSetup.svelte';
  import LaneTrack from './delivery/LaneTrack.svelte';
  import { StationStore } from '../station/profile/station.svelte';
  import { LaneStore } from './delivery/lanes.svelte';
  import { useStore } from '../platform/page/stores';
  import { texts } from './texts';

  let { lane }: { lane: Lane } = $props();
  const station = useStore(StationStore);
  const lanes = useStore(LaneStore);

  /** Fewer are gone before a bar could be read. */
  const WORTH_A_BAR = 200;

  const ready = $derived(lane.complete && (!lane.signed || lane.identities.length > 0));
  let page = $state<'out' | 'back' | 'setup'>(untrack(() => (lane.complete ? 'out' : 'setup')));
  const underWay = $derived(lane.handovers.find((h) => h.state === 'PREPARED'));
  const ending = $derived(lane.identities.find((identity) => identity.toBeRenewed));
</script>

<article class="lane" aria-label={lane.name}>
  <header>
    <h2>{lane.name}</h2>
    {#if lane.hookup}
      <span class="state"><Notch state={lane.hookup.state} />{STATE_WORDS[lane.hookup.state]}</span>
    {/if}
    <nav aria-label={texts.pagesName(lane.name)} class="keys">
      <button aria-pressed={page === 'out'} onclick={() => (page = 'out')}>{texts.goingOut}</button>
      {#if lane.confirms}
        <button aria-pressed={page === 'back'} onclick={() => (page = 'back')}>
          {texts.comingBackWords(lane.unmatched > 0 ? ` · ${grouped(lane.unmatched)}` : '')}
        </button>
      {/if}
      <button aria-pressed={page === 'setup'} onclick={() => (page = 'setup')}>{texts.setUp}</button>
    </nav>
    <div class="actions">
      <Button size="small" disabled={lane.due === 0 || !ready} on:click={() => lanes.handOver(lane.id)}>
        {lane.due === 0
          ? texts.nothingIsDue
          : lane.waiting === 0
            ? texts.tryAgainNow
            : texts.handOverNow(counted(lane.waiting, 'contact'))}
      </Button>
      {#if lane.confirms}
        <Button
          kind="tertiary"
          size="small"
          disabled={!ready || lanes.fetching[lane.id]}
          on:click={() => lanes.fetchNow(lane.id)}
        >
          {lanes.fetching[lane.id] ? lanes.fetchWords(lane.id) : texts.fetchConfirmations}
        </Button>
      {/if}
    </div>
  </header>

  {#if lane.hookup?.state === 'TROUBLE'}
    <div class="fault" role="alert">
      <p><strong>{lane.hookup.reason}</strong> {lane.hookup.fix}</p>
      {#if lane.hookup.nextAttempt}
        <p class="muted">
          {texts.tryFailedTheNextIs(lane.hookup.attempt, until(lane.hookup.nextAttempt, clock.now))}
          {#if underWay}{texts.inTheBatchUnderWay(counted(underWay.contacts, 'contact'))}{/if}
        </p>
      {/if}
    </div>
  {/if}
  {#if lane.withdrawalTrouble}
    <div class="fault" role="alert"><p>{lane.withdrawalTrouble}</p></div>
  {/if}
  {#if ending?.certificateEnds && page !== 'setup'}
    <div class="fault">
      <p>
        {texts.theCertificateOf} <span class="mono">{ending.call}</span>
        {texts.endsOnDate(utcDate(ending.certificateEnds))}
        <button class="more" onclick={() => (page = 'setup')}>{texts.renewIt}</button>
      </p>
    </div>
  {/if}

  {#if lane.handingOver && lane.handingOver.total >= WORTH_A_BAR}
    <div class="progress">
      <ProgressBar
        size="sm"
        labelText={texts.handingOver}
        value={lane.handingOver.total - lane.handingOver.left}
        max={lane.handingOver.total}
        helperText={texts.ofLeft(
          grouped(lane.handingOver.total - lane.handingOver.left),
          counted(lane.handingOver.total, 'contact'),
        )}
      />
      {#if lane.when === 'AT_ONCE'}
        <span class="muted">{texts.sendsAutomatically} <em>{texts.pauseAll}</em> {texts.stopsIt}</span>
      {:else}
        <Button kind="ghost" size="small" on:click={() => lanes.stopHandingOver(lane.id)}>{texts.stop}</Button
        >
      {/if}
    </div>
  {/if}
  <LaneTrack counts={lane.counts} />

  {#if page === 'setup'}<LaneSetup {lane} {lanes} places={station.view?.places ?? []} />
  {:else if page === 'back'}<ComingBack {lane} />
  {:else}<GoingOut {lane} {ready} onsetup={() => (page = 'setup')} />{/if}
</article>

<style>
  .lane {
    container-type: inline-size;
    padding: 16px 20px 20px;
    border: 1px solid var(--yb-line);
    border-radius: 4px;
    background: var(--yb-panel);
  }

  header {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 16px;
  }

  h2 {
    font-size: 18px;
  }

  .state {
    display: flex;
    align-items: center;
    gap: 8px;
  }

  .actions {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-left: auto;
  }

  .fault,
  .progress {
    margin-top: 12px;
  }

  .progress {
    display: grid;
    grid-template-columns: 1fr auto;
    align-items: center;
    gap: 16px;
  }
</style>
