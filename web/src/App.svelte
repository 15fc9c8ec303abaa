<script lang="ts">
  import FirstSteps from './lib/steps/FirstSteps.svelte';
  import DeskView from './lib/desk/DeskView.svelte';
  import { actions, PLACES } from './lib/frame/actions';
  import { AppState } from './lib/frame/app.svelte';
  import KeyMap from './lib/frame/KeyMap.svelte';
  import Palette from './lib/frame/Palette.svelte';
  import ErrorNotice from './lib/frame/ErrorNotice.svelte';
  import Offline from './lib/frame/Offline.svelte';
  import Rail from './lib/frame/Rail.svelte';
  import UnsavedAsk from './lib/frame/UnsavedAsk.svelte';
  import Updated from './lib/frame/Updated.svelte';
  import Yoke from './lib/frame/Yoke.svelte';
  import HookupDrawer from './lib/hookups/HookupDrawer.svelte';
  import HookupsView from './lib/hookups/HookupsView.svelte';
  import IntakeView from './lib/intake/IntakeView.svelte';
  import ContactLine from './lib/line/ContactLine.svelte';
  import ChangeBar from './lib/log/ChangeBar.svelte';
  import ChangesDrawer from './lib/log/ChangesDrawer.svelte';
  import ContactDrawer from './lib/log/ContactDrawer.svelte';
  import LogView from './lib/log/LogView.svelte';
  import Announcer from './lib/onair/Announcer.svelte';
  import OnAirView from './lib/onair/OnAirView.svelte';
  import PositionAsk from './lib/position/PositionAsk.svelte';
  import PositionDrawer from './lib/position/PositionDrawer.svelte';
  import Firsts from './lib/services/Firsts.svelte';
  import StorageNotice from './lib/safety/StorageNotice.svelte';
  import ServicesView from './lib/services/ServicesView.svelte';
  import StationView from './lib/station/StationView.svelte';

  const app = new AppState();
  app.start();

  let awaitingView = false;
  let main = $state<HTMLElement | null>(null);
  const onAirNow = $derived(app.page === '' || app.page === 'now');

  const title = $derived(PLACES.find(({ view }) => view === app.view)?.label ?? 'First steps');
  $effect(() => app.keepAddress());

  function typing(target: EventTarget | null): boolean {
    return (
      target instanceof HTMLElement && target.closest('input, textarea, select, [contenteditable]') !== null
    );
  }

  /** Does what a key, or two in a row, stand for; false when they stand for nothing. */
  function act(keys: string): boolean {
    const action = actions(app).find((a) => a.keys === keys);
    void action?.run();
    return action !== undefined;
  }

  function onbeforeunload(event: BeforeUnloadEvent) {
    if (app.unsaved) {
      event.preventDefault();
    }
  }

  function onkeydown(event: KeyboardEvent) {
    if (app.leaving) {
      return;
    }
    if (event.key === 'Escape' && app.drawer) {
      // Else the same key would close what is asked before the drawer goes.
      event.preventDefault();
      app.close();
      return;
    }
    if ((event.ctrlKey || event.metaKey) && event.key === 'k') {
      event.preventDefault();
      app.paletteOpen = true;
      return;
    }
    if (event.altKey && event.code === 'KeyB') {
      event.preventDefault();
      act(event.shiftKey ? 'B' : 'b');
      return;
    }
    if ((event.ctrlKey || event.metaKey) && event.key === 'z' && !typing(event.target)) {
      event.preventDefault();
      void app.changes.undo(app.changes.undoable?.id);
      return;
    }
    if (typing(event.target) || event.ctrlKey || event.metaKey || event.altKey) {
      return;
    }
    if (act(awaitingView ? `g ${event.key}` : event.key)) {
      event.preventDefault();
    }
    awaitingView = event.key === 'g';
  }
</script>

<svelte:head><title>{title} · Yokebar</title></svelte:head>
<svelte:window {onkeydown} {onbeforeunload} />

{#if app.paletteOpen}<Palette {app} />{/if}
{#if app.keysOpen}<KeyMap {app} />{/if}
{#if app.leaving}<UnsavedAsk {app} />{/if}

<button class="skip" onclick={() => main?.focus()}>Skip to the view</button>
<div class="frame">
  <Yoke {app} />
  <div class="body">
    <Rail {app} />
    <main bind:this={main} tabindex="-1">
      {#if !app.live.connected}<Offline lostAt={app.live.lostAt} />{/if}
      <Updated connected={app.live.connected} />
      <ErrorNotice />
      <StorageNotice storage={app.storage} />
      <PositionAsk positions={app.positions} />
      <div class="place">
        {#if app.view === 'desk'}
          <DeskView {app} />
        {:else if app.view === 'on-air'}
          <OnAirView {app} />
        {:else if app.view === 'log'}
          <LogView {app} />
        {:else if app.view === 'intake'}
          <IntakeView {app} />
        {:else if app.view === 'hookups'}
          <HookupsView {app} />
        {:else if app.view === 'services'}
          <ServicesView {app} />
        {:else if app.view === 'first-steps'}
          <FirstSteps {app} />
        {:else}
          <StationView {app} />
        {/if}
      </div>
      <Announcer {app} />
      <Firsts {app} />
      <ChangeBar {app} />
      {#if app.view === 'desk' || (app.view === 'on-air' && onAirNow) || app.lineOpen}<ContactLine
          {app}
        />{/if}
    </main>
    {#if app.drawer?.of === 'contact'}
      {#key app.drawer.id}
        <ContactDrawer {app} id={app.drawer.id} />
      {/key}
    {:else if app.drawer?.of === 'hookup'}
      {#key app.drawer.id}
        <HookupDrawer {app} id={app.drawer.id} />
      {/key}
    {:else if app.drawer?.of === 'changes'}
      <ChangesDrawer {app} />
    {:else if app.drawer}
      <PositionDrawer {app} />
    {/if}
  </div>
</div>

<style>
  .frame {
    display: flex;
    flex-direction: column;
    height: 100%;
  }

  /* Seen when it has the focus: the first thing reached by Tab. */
  .skip {
    position: absolute;
    top: 8px;
    left: 8px;
    z-index: 20;
    padding: 8px 16px;
    border: 0;
    border-radius: 2px;
    background: var(--yb-accent);
    color: var(--yb-ground);
    font: inherit;
    transform: translateY(-60px);
  }

  .skip:focus {
    transform: none;
  }

  .body {
    display: flex;
    flex: 1;
    min-height: 0;
  }

  /* Where it is narrow the rail lies below, and what opens at the side covers the view. */
  @media (max-width: 700px) {
    .body {
      flex-direction: column-reverse;
    }

    .body > :global(.drawer) {
      position: fixed;
      inset: var(--yb-yoke-height) 0 0;
      z-index: 10;
      width: auto;
    }
  }

  main {
    display: flex;
    flex-direction: column;
    flex: 1;
    min-width: 0;
    min-height: 0;
  }

  .place {
    container-type: inline-size;
    flex: 1;
    min-height: 0;
  }
</style>
