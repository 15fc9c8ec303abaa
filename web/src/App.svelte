<script lang="ts">
  import ErrorNotice from './lib/platform/frame/ErrorNotice.svelte';
  import { FRAME_KEYS } from './lib/platform/frame/frame-actions';
  import KeyMap from './lib/platform/frame/KeyMap.svelte';
  import Offline from './lib/platform/frame/Offline.svelte';
  import Palette from './lib/platform/frame/Palette.svelte';
  import Rail from './lib/platform/frame/Rail.svelte';
  import UnsavedAsk from './lib/platform/frame/UnsavedAsk.svelte';
  import Updated from './lib/platform/frame/Updated.svelte';
  import { provide } from './lib/platform/page/stores';
  import Yoke from './lib/sources/hub/Yoke.svelte';
  import { Page } from './page';
  import { texts } from './texts';

  const page = new Page();
  const { features, live, navigation } = page;
  provide(page.stores);
  page.start();

  const localKeys = [...features.flatMap((feature) => feature.localKeys ?? []), ...FRAME_KEYS];
  const notices = features.flatMap((feature) => feature.notices ?? []);
  const bars = features.flatMap((feature) => feature.bars ?? []);
  const feet = features.flatMap((feature) => feature.foot ?? []);

  let awaitingView = false;
  let main = $state<HTMLElement | null>(null);

  const view = $derived(navigation.views.find(({ name }) => name === navigation.view));
  const drawer = $derived(navigation.drawers.find(({ of }) => of === navigation.drawer?.of));
  $effect(() => navigation.keepAddress());

  function typing(target: EventTarget | null): boolean {
    return (
      target instanceof HTMLElement && target.closest('input, textarea, select, [contenteditable]') !== null
    );
  }

  /** Does what a key, or two in a row, stand for; false when they stand for nothing. */
  function act(keys: string): boolean {
    const action = page.actions.find((a) => a.keys === keys || a.also === keys);
    void action?.run();
    return action !== undefined;
  }

  function onbeforeunload(event: BeforeUnloadEvent) {
    if (navigation.unsaved) {
      event.preventDefault();
    }
  }

  function onkeydown(event: KeyboardEvent) {
    if (navigation.leaving) {
      return;
    }
    if (event.key === 'Escape' && navigation.drawer) {
      // Else the same key would close what is asked before the drawer goes.
      event.preventDefault();
      navigation.close();
      return;
    }
    if ((event.ctrlKey || event.metaKey) && event.key === 'k') {
      event.preventDefault();
      navigation.paletteOpen = true;
      return;
    }
    if (event.altKey && event.code === 'KeyB') {
      event.preventDefault();
      act(event.shiftKey ? 'B' : 'b');
      return;
    }
    if ((event.ctrlKey || event.metaKey) && event.key === 'z' && !typing(event.target)) {
      event.preventDefault();
      act('Ctrl+Z');
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

<svelte:head><title>{texts.yokebarLabel(view?.label ?? '')}</title></svelte:head>
<svelte:window {onkeydown} {onbeforeunload} />

{#if navigation.paletteOpen}<Palette actions={page.actions} />{/if}
{#if navigation.keysOpen}<KeyMap actions={page.actions} {localKeys} />{/if}
{#if navigation.leaving}<UnsavedAsk />{/if}

<button class="skip" onclick={() => main?.focus()}>{texts.skipToTheView}</button>
<div class="frame">
  <Yoke />
  <div class="body">
    <Rail />
    <main bind:this={main} tabindex="-1">
      {#if !live.connected}<Offline lostAt={live.lostAt} />{/if}
      <Updated connected={live.connected} />
      <ErrorNotice />
      {#each notices as Notice (Notice)}<Notice />{/each}
      <div class="place">
        {#if view}
          {@const View = view.component}
          <View />
        {/if}
      </div>
      {#each bars as Bar (Bar)}<Bar />{/each}
      {#each feet as Foot (Foot)}<Foot />{/each}
    </main>
    {#if drawer && navigation.drawer}
      {@const Drawer = drawer.component}
      {#key navigation.drawer.id}
        {#if drawer.id === 'none'}<Drawer />{:else}<Drawer id={navigation.drawer.id} />{/if}
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
