<script lang="ts">
  import type { AppState } from '../frame/app.svelte';
  import { counted, grouped } from '../shared/format';
  import { Button } from 'carbon-components-svelte';
  import { Add } from 'carbon-icons-svelte';
  import RadioSharing from '../radio/RadioSharing.svelte';
  import RadioForm from '../radio/RadioForm.svelte';
  import FeedForm from '../feed/FeedForm.svelte';
  import RotorForm from '../rotor/RotorForm.svelte';
  import HookupCard from './HookupCard.svelte';

  let { app }: { app: AppState } = $props();

  /** What is being set up: the id of a coupling, or a new one. */
  let setUp = $state('');

  const arriving = $derived(
    app.hookups.sources.reduce(
      (sum, h) => sum + (h.kind === 'CALLBOOK' || h.kind === 'FEED' ? 0 : h.lastMinute),
      0,
    ),
  );
  const leaving = $derived(app.hookups.services.reduce((sum, h) => sum + h.lastMinute, 0));
</script>

<section class="view" aria-label="Hookups">
  <div class="view-head">
    <h1>Hookups</h1>
    <span class="muted"
      >Everything that feeds the log is on the left; what takes from it is on the right.</span
    >
  </div>
  {#if app.hookups.problem}
    <p class="trouble" role="alert">{app.hookups.problem}</p>
  {/if}
  <div class="room">
    <div class="sheet">
      <div class="side">
        <h2>Sources</h2>
        {#each app.hookups.sources as hookup (hookup.id)}
          {@const radio = app.radios.all.find((r) => r.hookup === hookup.id)}
          {@const rotor = app.rotors.all.find((r) => r.hookup === hookup.id)}
          {@const feed = app.feeds.all.find((f) => f.hookup === hookup.id)}
          {#if radio && setUp === hookup.id}
            <RadioForm
              radios={app.radios}
              rotors={app.rotors.all}
              search={app.search}
              {radio}
              onclose={() => (setUp = '')}
            />
          {:else if rotor && setUp === hookup.id}
            <RotorForm rotors={app.rotors} search={app.search} {rotor} onclose={() => (setUp = '')} />
          {:else if feed && setUp === hookup.id}
            <FeedForm feeds={app.feeds} {feed} onclose={() => (setUp = '')} />
          {:else}
            <div class="wired right">
              <HookupCard
                {hookup}
                store={app.hookups}
                onsetup={radio || rotor || feed ? () => (setUp = hookup.id) : undefined}
              >
                {#snippet details()}{#if radio}<RadioSharing {radio} radios={app.radios} />{/if}{/snippet}
              </HookupCard>
            </div>
          {/if}
        {/each}
        {#if setUp === 'new-radio'}
          <RadioForm
            radios={app.radios}
            rotors={app.rotors.all}
            search={app.search}
            onclose={() => (setUp = '')}
          />
        {:else if setUp === 'new-rotor'}
          <RotorForm rotors={app.rotors} search={app.search} onclose={() => (setUp = '')} />
        {:else if setUp === 'new-feed'}
          <FeedForm feeds={app.feeds} ownCall={app.station.view?.ownCall} onclose={() => (setUp = '')} />
        {:else}
          <div class="add">
            <Button kind="tertiary" size="small" icon={Add} on:click={() => (setUp = 'new-radio')}
              >Radio</Button
            >
            <Button kind="tertiary" size="small" icon={Add} on:click={() => (setUp = 'new-rotor')}
              >Rotator</Button
            >
            <Button kind="tertiary" size="small" icon={Add} on:click={() => (setUp = 'new-feed')}
              >Cluster or skimmer</Button
            >
          </div>
        {/if}
      </div>
      <a class="log" href="#/log">
        <span class="muted">Log</span>
        <span class="mono total">{grouped(app.latest.total)}</span>
        <span class="muted">{counted(arriving, 'record')} in</span>
        <span class="muted">{counted(leaving, 'contact')} out</span>
        <span class="muted">in the last minute</span>
      </a>
      <div class="side">
        <h2>Services</h2>
        {#each app.hookups.services as hookup (hookup.id)}
          <div class="wired left"><HookupCard {hookup} store={app.hookups} /></div>
        {/each}
        {#if app.hookups.clock}
          <h2>Beside it all</h2>
          <HookupCard hookup={app.hookups.clock} store={app.hookups} />
        {/if}
      </div>
    </div>
  </div>
  <p class="muted below">
    Files, ports and programs are set up under <a href="#/intake/sources">Intake</a>, and every record they
    brought is listed there with what was decided about it.
  </p>
</section>

<style>
  .below {
    margin-top: 24px;
  }

  .room {
    container-type: inline-size;
  }

  .sheet {
    display: grid;
    grid-template-columns: minmax(320px, 1fr) 176px minmax(320px, 1fr);
    column-gap: 64px;
    align-items: start;
  }

  .side {
    display: flex;
    flex-direction: column;
    gap: 16px;
  }

  .add {
    display: flex;
    gap: 8px;
  }

  .wired {
    position: relative;
  }

  /* The wire from the card to the log. */
  .wired::after {
    content: '';
    position: absolute;
    top: 40px;
    width: 64px;
    border-top: 2px solid var(--yb-line-strong);
  }

  .right::after {
    left: 100%;
  }

  .left::after {
    right: 100%;
  }

  .wired:not(:first-of-type)::after {
    width: 32px;
  }

  /* From one wire down to the next. */
  .wired:has(~ .wired)::before {
    content: '';
    position: absolute;
    top: 40px;
    bottom: -56px;
    border-left: 2px solid var(--yb-line-strong);
  }

  .right::before {
    left: calc(100% + 32px);
  }

  .left::before {
    right: calc(100% + 32px);
  }

  .log {
    display: flex;
    flex-direction: column;
    align-items: center;
    margin-top: 40px;
    padding: 16px;
    border: 2px solid var(--yb-line-strong);
    border-radius: 20px;
    color: inherit;
    text-decoration: none;
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
  @container (max-width: 940px) {
    .sheet {
      grid-template-columns: 1fr;
      row-gap: 24px;
    }

    .wired:has(~ .wired)::before,
    .wired::after {
      display: none;
    }

    .log {
      margin-top: 0;
    }
  }
</style>
