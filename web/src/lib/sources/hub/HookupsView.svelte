<script lang="ts">
  import type { Hookup } from '../../platform/api/client';
  import { counted, grouped } from '../../platform/shared/format';
  import RadioSharing from '../radio/RadioSharing.svelte';
  import RadioForm from '../radio/RadioForm.svelte';
  import FeedForm from '../feed/FeedForm.svelte';
  import RotorForm from '../rotor/RotorForm.svelte';
  import TextProgramForm from '../text/TextProgramForm.svelte';
  import AddHookup from './AddHookup.svelte';
  import HookupCard from '../hookup/HookupCard.svelte';
  import { FeedStore } from '../feed/feeds.svelte';
  import { SearchStore } from '../search/search.svelte';
  import { LatestStore } from '../../log/latest.svelte';
  import { LaneStore } from '../../services/delivery/lanes.svelte';
  import { HookupStore } from '../hookup/hookups.svelte';
  import { RotorStore } from '../rotor/rotors.svelte';
  import { TextProgramStore } from '../text/programs.svelte';
  import { RadioStore } from '../radio/radios.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const feeds = useStore(FeedStore);
  const search = useStore(SearchStore);
  const latest = useStore(LatestStore);
  const lanes = useStore(LaneStore);
  const hookupStore = useStore(HookupStore);
  const decoders = useStore(TextProgramStore);
  const rotors = useStore(RotorStore);
  const radios = useStore(RadioStore);

  /** The id of the coupling that is being set up. */
  let setUp = $state('');

  const arriving = $derived(
    hookupStore.sources.reduce(
      (sum, h) => sum + (['CALLBOOK', 'FEED', 'TEXT'].includes(h.kind) ? 0 : h.lastMinute),
      0,
    ),
  );
  const leaving = $derived(hookupStore.services.reduce((sum, h) => sum + h.lastMinute, 0));

  /** They feed nothing and take nothing, but everything depends on them. */
  const beside = $derived([hookupStore.clock, hookupStore.secondCopy].filter((h) => h !== undefined));

  const rank = (hookup: Hookup) => (hookup.state === 'TROUBLE' ? 0 : 1);
  /** Those in trouble first, the others in their order. */
  const sorted = (hookups: readonly Hookup[]) => [...hookups].sort((a, b) => rank(a) - rank(b));

  /** Where something is set up that is not set up here. */
  const PLACES: Partial<Record<Hookup['kind'], string>> = {
    CALLBOOK: '#/station/callbook',
    CLOCK: '#/station/clocks',
    COPY: '#/station/safety',
    CONTEST: '#/contest',
    PROGRAM: '#/intake/sources',
  };

  function setUpOf(hookup: Hookup, here: boolean): () => void {
    const lane = lanes.all.find((l) => l.hookup?.id === hookup.id);
    const place = lane ? `#/services?lane=${lane.id}` : (PLACES[hookup.kind] ?? '#/services');
    return () => (here ? (setUp = hookup.id) : (location.hash = place));
  }
</script>

<section class="view" aria-label={texts.hookups}>
  <div class="view-head">
    <h1>{texts.hookups}</h1>
    <span class="muted">{texts.everythingThatFeedsTheLog}</span>
  </div>
  {#if hookupStore.problem}
    <p class="trouble" role="alert">{hookupStore.problem}</p>
  {/if}
  <AddHookup />
  <div class="room">
    <div class="sheet">
      <div class="side">
        <h2>{texts.sources}</h2>
        <div class="cards">
          {#each sorted(hookupStore.sources) as hookup (hookup.id)}
            {@const radio = radios.all.find((r) => r.hookup === hookup.id)}
            {@const rotor = rotors.all.find((r) => r.hookup === hookup.id)}
            {@const feed = feeds.all.find((f) => f.hookup === hookup.id)}
            {@const decoder = decoders.all.find((d) => d.hookup === hookup.id)}
            <div class="wired right">
              {#if radio && setUp === hookup.id}
                <RadioForm {radios} rotors={rotors.all} {search} {radio} onclose={() => (setUp = '')} />
              {:else if rotor && setUp === hookup.id}
                <RotorForm {rotors} {search} {rotor} onclose={() => (setUp = '')} />
              {:else if feed && setUp === hookup.id}
                <FeedForm {feeds} {feed} onclose={() => (setUp = '')} />
              {:else if decoder && setUp === hookup.id}
                <TextProgramForm programs={decoders} program={decoder} onclose={() => (setUp = '')} />
              {:else}
                <HookupCard
                  {hookup}
                  store={hookupStore}
                  onsetup={setUpOf(
                    hookup,
                    [radio, rotor, feed, decoder].some((one) => one !== undefined),
                  )}
                >
                  {#snippet details()}{#if radio}<RadioSharing {radio} {radios} />{/if}{/snippet}
                </HookupCard>
              {/if}
            </div>
          {/each}
        </div>
      </div>
      <a class="log" href="#/log">
        <span class="muted">{texts.log}</span>
        <span class="mono total">{grouped(latest.total)}</span>
        <span class="muted">{texts.inRecords(counted(arriving, 'record'))}</span>
        <span class="muted">{texts.outContacts(counted(leaving, 'contact'))}</span>
        <span class="muted">{texts.inTheLastMinute}</span>
      </a>
      <div class="side">
        <h2>{texts.services}</h2>
        <div class="cards">
          {#each sorted(hookupStore.services) as hookup (hookup.id)}
            <div class="wired left">
              <HookupCard {hookup} store={hookupStore} onsetup={setUpOf(hookup, false)} />
            </div>
          {/each}
        </div>
        {#if beside.length > 0}
          <h2>{texts.other}</h2>
          <div class="cards">
            {#each beside as hookup (hookup.id)}
              <HookupCard {hookup} store={hookupStore} onsetup={setUpOf(hookup, false)} />
            {/each}
          </div>
        {/if}
      </div>
    </div>
  </div>
</section>

<style>
  .room {
    container-type: inline-size;
  }

  .sheet {
    display: grid;
    grid-template-columns: minmax(300px, 1fr) 152px minmax(300px, 1fr);
    column-gap: 48px;
    align-items: start;
  }

  .side,
  .cards {
    display: flex;
    flex-direction: column;
    gap: 8px;
  }

  .wired {
    position: relative;
  }

  /* The wire from a card; the first goes on to the log. */
  .wired::after {
    content: '';
    position: absolute;
    top: 24px;
    width: 24px;
    border-top: 2px solid var(--yb-line-strong);
  }

  .wired:first-child::after {
    width: 48px;
  }

  .right::after {
    left: 100%;
  }

  .left::after {
    right: 100%;
  }

  /* From one wire down to the next. */
  .wired:not(:last-child)::before {
    content: '';
    position: absolute;
    top: 24px;
    bottom: -32px;
    border-left: 2px solid var(--yb-line-strong);
  }

  .right::before {
    left: calc(100% + 24px);
  }

  .left::before {
    right: calc(100% + 24px);
  }

  /* As high as the first wires. */
  .log {
    display: flex;
    flex-direction: column;
    align-items: center;
    margin-top: 32px;
    padding: 8px 16px 16px;
    border: 2px solid var(--yb-line-strong);
    border-radius: 20px;
    color: inherit;
    text-align: center;
    text-decoration: none;
  }

  .log span {
    white-space: nowrap;
  }

  .log:hover {
    background: var(--yb-hover);
  }

  .total {
    font-size: 24px;
    font-weight: 600;
    line-height: 40px;
  }

  /* Beside an open drawer, or in a narrow window, one below the other. */
  @container (max-width: 860px) {
    .sheet {
      grid-template-columns: minmax(0, 1fr);
      row-gap: 24px;
    }

    .wired::before,
    .wired::after {
      display: none;
    }

    .log {
      margin-top: 0;
    }
  }
</style>
