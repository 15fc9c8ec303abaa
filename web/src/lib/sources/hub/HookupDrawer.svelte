<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import RadioForm from '../radio/RadioForm.svelte';
  import RadioSharing from '../radio/RadioSharing.svelte';
  import RotorForm from '../rotor/RotorForm.svelte';
  import FeedForm from '../feed/FeedForm.svelte';
  import FeedPanel from '../feed/FeedPanel.svelte';
  import Finder from '../search/Finder.svelte';
  import ProgramPanel from '../digital/ProgramPanel.svelte';
  import TextProgramForm from '../text/TextProgramForm.svelte';
  import Drawer from '../../platform/shared/Drawer.svelte';
  import HookupCard from '../hookup/HookupCard.svelte';
  import { FeedStore } from '../feed/feeds.svelte';
  import { SearchStore } from '../search/search.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { DigitalStore } from '../digital/digital.svelte';
  import { LaneStore } from '../../services/delivery/lanes.svelte';
  import { HookupStore } from '../hookup/hookups.svelte';
  import { RotorStore } from '../rotor/rotors.svelte';
  import { TextProgramStore } from '../text/programs.svelte';
  import { RadioStore } from '../radio/radios.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  let { id }: { id: string } = $props();
  const feeds = useStore(FeedStore);
  const search = useStore(SearchStore);
  const navigation = useStore(Navigation);
  const digital = useStore(DigitalStore);
  const lanes = useStore(LaneStore);
  const hookups = useStore(HookupStore);
  const rotors = useStore(RotorStore);
  const decoders = useStore(TextProgramStore);
  const radios = useStore(RadioStore);

  const hookup = $derived(hookups.all.find((h) => h.id === id));
  const radio = $derived(radios.all.find((r) => r.hookup === id));
  const rotor = $derived(rotors.all.find((r) => r.hookup === id));
  const feed = $derived(feeds.all.find((f) => f.hookup === id));
  const decoder = $derived(decoders.all.find((d) => d.hookup === id));
  const program = $derived(digital.programs.find((p) => p.id === id));
  const address = $derived(radio?.address ?? rotor?.address);
  const lane = $derived(lanes.all.find((l) => l.hookup?.id === id));
  let settingUp = $state(false);
  let typed = $state(false);
  let finding = $state(false);

  /** When data last came is not news of its own; while somebody looks, it is asked for. */
  const LOOK_EVERY_MS = 2000;
  $effect(() => {
    void hookups.load();
    const looking = setInterval(() => void hookups.load(), LOOK_EVERY_MS);
    return () => clearInterval(looking);
  });

  function setUp(open: boolean) {
    settingUp = open;
    typed = false;
  }

  $effect(() => {
    navigation.unsaved = typed;
    return () => (navigation.unsaved = false);
  });

  /** The device lets go of its port while it is searched, and takes it again by itself. */
  async function find() {
    if (address) {
      finding = true;
      await search.start([address]);
    }
  }

  async function use(found: { baud?: number; dialect?: string; bus: number }) {
    if (radio && hookup) {
      await radios.save(radio.id, {
        ...radio,
        sharePort: radio.sharePort ?? 0,
        baud: found.baud,
        dialect: found.dialect,
        bus: found.bus,
      });
    } else if (rotor) {
      await rotors.save(rotor.id, {
        ...rotor,
        presets: rotor.presets.map((p) => `${p.headingDegrees} ${p.name}`).join('\n'),
        baud: found.baud,
      });
    }
    finding = false;
  }
</script>

<Drawer label={texts.hookup} title={hookup?.name ?? ''} subtitle="" onclose={() => navigation.close()}>
  {#if !hookup}
    <p class="muted">{texts.itWasTakenDown}</p>
  {:else if settingUp}
    <div oninput={() => (typed = true)}>
      {#if radio}
        <RadioForm {radios} rotors={rotors.all} {search} {radio} onclose={() => setUp(false)} />
      {:else if rotor}
        <RotorForm {rotors} {search} {rotor} onclose={() => setUp(false)} />
      {:else if feed}
        <FeedForm {feeds} {feed} onclose={() => setUp(false)} />
      {:else if decoder}
        <TextProgramForm programs={decoders} program={decoder} onclose={() => setUp(false)} />
      {/if}
    </div>
  {:else}
    <HookupCard
      plain
      {hookup}
      store={hookups}
      onsetup={radio || rotor || feed || decoder ? () => setUp(true) : undefined}
    >
      {#snippet details()}{#if radio}<RadioSharing {radio} {radios} />{/if}{/snippet}
    </HookupCard>
    {#if address && (finding || hookup.state !== 'LIVE')}
      <p class="find">
        <Button size="small" kind="tertiary" on:click={find}>{texts.findOutWhatAnswersThere}</Button>
      </p>
      {#if finding}
        <Finder
          {search}
          want={radio ? 'RADIO' : 'ROTATOR'}
          useWords={texts.setItUpSo}
          onuse={(f) => void use(f)}
        />
      {/if}
    {/if}
    {#if lane}<p><a href={`#/services?lane=${lane.id}`}>{texts.seeItsLane}</a></p>{/if}
    {#if hookup.kind === 'COPY'}<p><a href="#/station/safety">{texts.chooseTheFolder}</a></p>{/if}
    {#if hookup.kind === 'CALLBOOK'}<p><a href="#/station/callbook">{texts.setTheCallbookUp}</a></p>{/if}
    {#if hookup.kind === 'CONTEST'}<p><a href="#/contest">{texts.setItUpInABook}</a></p>{/if}
    {#if hookup.kind === 'CLOCK'}<p><a href="#/station/clocks">{texts.chooseTheTimeServer}</a></p>{/if}
    {#if feed}<FeedPanel {feed} />{/if}
    {#if program}<ProgramPanel {program} />{/if}
    {#if hookup.kind === 'PROGRAM'}<p><a href="#/intake">{texts.seeWhatArrivedLately}</a></p>{/if}
  {/if}
</Drawer>

<style>
  p a {
    display: inline-block;
    line-height: 24px;
  }

  .find {
    margin-top: 16px;
  }
</style>
