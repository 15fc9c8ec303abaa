<script lang="ts">
  import { Asleep, Catalog, ConnectionSignal, Dashboard, Light, Radio, SendAlt } from 'carbon-icons-svelte';
  import type { AppState, View } from './app.svelte';

  let { app }: { app: AppState } = $props();

  const entries: { view: View; label: string; icon: typeof Catalog }[] = [
    { view: 'desk', label: 'Desk', icon: Dashboard },
    { view: 'log', label: 'Log', icon: Catalog },
    { view: 'services', label: 'Services', icon: SendAlt },
    { view: 'hookups', label: 'Hookups', icon: ConnectionSignal },
    { view: 'station', label: 'Station', icon: Radio },
  ];
</script>

<nav class="rail" aria-label="Views">
  {#each entries as { view, label, icon: Icon } (view)}
    <a
      href={`#/${view}`}
      class:here={app.view === view}
      aria-current={app.view === view ? 'page' : undefined}
    >
      <Icon size={20} />
      <span>{label}</span>
    </a>
  {/each}
  <button
    class="theme"
    onclick={() => app.setTheme(app.theme === 'night' ? 'day' : 'night')}
    title={app.theme === 'night' ? 'Change to the day theme' : 'Change to the night theme'}
  >
    {#if app.theme === 'night'}<Light size={20} /><span>Day</span>{:else}<Asleep size={20} /><span>Night</span
      >{/if}
  </button>
</nav>

<style>
  .rail {
    display: flex;
    flex-direction: column;
    width: var(--yb-rail-width);
    padding: 8px 0;
    background: var(--yb-panel);
    border-right: 1px solid var(--yb-line);
  }

  a,
  .theme {
    display: flex;
    flex-direction: column;
    align-items: center;
    justify-content: center;
    gap: 4px;
    height: 60px;
    padding: 0;
    border: 0;
    border-left: 3px solid transparent;
    background: none;
    color: var(--yb-ink-2);
    font: inherit;
    font-size: 12px;
    line-height: 16px;
    text-decoration: none;
    cursor: pointer;
  }

  a:hover,
  .theme:hover {
    background: var(--yb-hover);
    color: var(--yb-ink);
  }

  .here {
    border-left-color: var(--yb-accent);
    color: var(--yb-ink);
    background: var(--yb-selected);
  }

  .theme {
    margin-top: auto;
  }
</style>
