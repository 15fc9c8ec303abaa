<script lang="ts">
  import DeskView from './lib/desk/DeskView.svelte';
  import { AppState, type View } from './lib/frame/app.svelte';
  import Offline from './lib/frame/Offline.svelte';
  import Rail from './lib/frame/Rail.svelte';
  import Yoke from './lib/frame/Yoke.svelte';
  import HookupsView from './lib/hookups/HookupsView.svelte';
  import ContactDrawer from './lib/log/ContactDrawer.svelte';
  import LogView from './lib/log/LogView.svelte';
  import ServicesView from './lib/services/ServicesView.svelte';
  import StationView from './lib/station/StationView.svelte';

  const app = new AppState();
  app.start();

  const GO: Record<string, View> = { d: 'desk', l: 'log', s: 'services', h: 'hookups', t: 'station' };
  let awaitingView = false;

  function typing(target: EventTarget | null): boolean {
    return (
      target instanceof HTMLElement && target.closest('input, textarea, select, [contenteditable]') !== null
    );
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'Escape' && app.openContact !== undefined) {
      app.openContact = undefined;
      return;
    }
    if (typing(event.target) || event.ctrlKey || event.metaKey || event.altKey) {
      return;
    }
    if (event.key === 'r' && !awaitingView) {
      app.radios.next();
    }
    const view = GO[event.key];
    if (awaitingView && view) {
      app.go(view);
      event.preventDefault();
    }
    awaitingView = event.key === 'g';
  }
</script>

<svelte:window {onkeydown} />

<div class="frame">
  <Yoke {app} />
  <div class="body">
    <Rail {app} />
    <main>
      {#if !app.live.connected}<Offline lostAt={app.live.lostAt} />{/if}
      <div class="place">
        {#if app.view === 'desk'}
          <DeskView {app} />
        {:else if app.view === 'log'}
          <LogView {app} />
        {:else if app.view === 'hookups'}
          <HookupsView {app} />
        {:else if app.view === 'services'}
          <ServicesView {app} />
        {:else}
          <StationView station={app.station} />
        {/if}
      </div>
    </main>
    {#if app.openContact !== undefined}
      {#key app.openContact}
        <ContactDrawer {app} id={app.openContact} />
      {/key}
    {/if}
  </div>
</div>

<style>
  .frame {
    display: flex;
    flex-direction: column;
    height: 100%;
  }

  .body {
    display: flex;
    flex: 1;
    min-height: 0;
  }

  main {
    display: flex;
    flex-direction: column;
    flex: 1;
    min-width: 0;
  }

  .place {
    flex: 1;
    min-height: 0;
  }
</style>
