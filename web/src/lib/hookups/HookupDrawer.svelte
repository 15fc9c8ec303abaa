<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { AppState } from '../frame/app.svelte';
  import RadioForm from '../radio/RadioForm.svelte';
  import RadioSharing from '../radio/RadioSharing.svelte';
  import RotorForm from '../rotor/RotorForm.svelte';
  import FeedForm from '../feed/FeedForm.svelte';
  import FeedPanel from '../feed/FeedPanel.svelte';
  import Finder from '../search/Finder.svelte';
  import ProgramPanel from '../digital/ProgramPanel.svelte';
  import Drawer from '../shared/Drawer.svelte';
  import HookupCard from './HookupCard.svelte';

  let { app, id }: { app: AppState; id: string } = $props();

  const hookup = $derived(app.hookups.all.find((h) => h.id === id));
  const radio = $derived(app.radios.all.find((r) => r.hookup === id));
  const rotor = $derived(app.rotors.all.find((r) => r.hookup === id));
  const feed = $derived(app.feeds.all.find((f) => f.hookup === id));
  const program = $derived(app.digital.programs.find((p) => p.id === id));
  const address = $derived(radio?.address ?? rotor?.address);
  const lane = $derived(app.lanes.all.find((l) => l.hookup?.id === id));
  let settingUp = $state(false);
  let typed = $state(false);
  let finding = $state(false);

  /** When data last came is no news of its own; while somebody looks, it is asked for. */
  const LOOK_EVERY_MS = 2000;
  $effect(() => {
    void app.hookups.load();
    const looking = setInterval(() => void app.hookups.load(), LOOK_EVERY_MS);
    return () => clearInterval(looking);
  });

  function setUp(open: boolean) {
    settingUp = open;
    typed = false;
  }

  $effect(() => {
    app.unsaved = typed;
    return () => (app.unsaved = false);
  });

  /** The device lets go of its port while it is searched, and takes it again by itself. */
  async function find() {
    if (address) {
      finding = true;
      await app.search.start([address]);
    }
  }

  async function use(found: { baud?: number; dialect?: string; bus: number }) {
    if (radio && hookup) {
      await app.radios.save(radio.id, {
        ...radio,
        sharePort: radio.sharePort ?? 0,
        baud: found.baud,
        dialect: found.dialect,
        bus: found.bus,
      });
    } else if (rotor) {
      await app.rotors.save(rotor.id, {
        ...rotor,
        presets: rotor.presets.map((p) => `${p.headingDegrees} ${p.name}`).join('\n'),
        baud: found.baud,
      });
    }
    finding = false;
  }
</script>

<Drawer label="Hookup" title={hookup?.name ?? ''} subtitle="" onclose={() => app.close()}>
  {#if !hookup}
    <p class="muted">It was taken down.</p>
  {:else if settingUp}
    <div oninput={() => (typed = true)}>
      {#if radio}
        <RadioForm
          radios={app.radios}
          rotors={app.rotors.all}
          search={app.search}
          {radio}
          onclose={() => setUp(false)}
        />
      {:else if rotor}
        <RotorForm rotors={app.rotors} search={app.search} {rotor} onclose={() => setUp(false)} />
      {:else if feed}
        <FeedForm feeds={app.feeds} {feed} onclose={() => setUp(false)} />
      {/if}
    </div>
  {:else}
    <HookupCard
      plain
      {hookup}
      store={app.hookups}
      onsetup={radio || rotor || feed ? () => setUp(true) : undefined}
    >
      {#snippet details()}{#if radio}<RadioSharing {radio} radios={app.radios} />{/if}{/snippet}
    </HookupCard>
    {#if address && (finding || hookup.state !== 'LIVE')}
      <p class="find">
        <Button size="small" kind="tertiary" on:click={find}>Find out what answers there</Button>
      </p>
      {#if finding}
        <Finder
          search={app.search}
          want={radio ? 'RADIO' : 'ROTATOR'}
          useWords="Set it up so"
          onuse={(f) => void use(f)}
        />
      {/if}
    {/if}
    {#if lane}<p><a href={`#/services?lane=${lane.id}`}>See its lane</a></p>{/if}
    {#if hookup.kind === 'COPY'}<p><a href="#/station/safety">Choose the folder</a></p>{/if}
    {#if hookup.kind === 'CALLBOOK'}<p><a href="#/station/callbook">Set the callbook up</a></p>{/if}
    {#if hookup.kind === 'CLOCK'}<p><a href="#/station/clocks">Choose the time server</a></p>{/if}
    {#if feed}<FeedPanel {app} {feed} />{/if}
    {#if program}<ProgramPanel {program} />{/if}
    {#if hookup.kind === 'PROGRAM'}<p><a href="#/intake">See what arrived lately</a></p>{/if}
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
