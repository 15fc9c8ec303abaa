<script lang="ts">
  import { Asleep, Catalog, Help, Light, UserAvatar, View as Eye } from 'carbon-icons-svelte';
  import { Navigation } from '../page/navigation.svelte';
  import { ThemeStore, type Theme } from '../page/theme.svelte';
  import { PositionStore } from '../../station/position/positions.svelte';
  import { StationStore } from '../../station/profile/station.svelte';
  import { useStore } from '../page/stores';
  import { texts } from './texts';

  const navigation = useStore(Navigation);
  const themeStore = useStore(ThemeStore);
  const positions = useStore(PositionStore);
  const stationStore = useStore(StationStore);

  const THEMES: Record<Theme, { next: string; label: string; icon: typeof Catalog }> = {
    night: { next: 'day', label: texts.night, icon: Asleep },
    day: { next: 'red lamp', label: texts.day, icon: Light },
    red: { next: 'night', label: texts.redLamp, icon: Eye },
  };

  const theme = $derived(THEMES[themeStore.theme]);
  const ThemeIcon = $derived(theme.icon);
  const here = $derived(positions.here);
  /** The call of who sits here, or the name of the position; nothing until both are known, so that it never changes in sight. */
  const who = $derived.by(() => {
    const operators = stationStore.view?.operators;
    return operators && here ? (operators.find((o) => o.id === here.operatorId)?.callSign ?? here.name) : '';
  });
</script>

<nav class="rail" aria-label={texts.views}>
  {#each navigation.railViews as { name, label, rail } (name)}
    {@const Icon = rail.icon}
    <a
      href={navigation.address(name)}
      class:here={navigation.view === name}
      aria-current={navigation.view === name ? 'page' : undefined}
    >
      <Icon size={20} />
      <span>{label}</span>
    </a>
  {/each}
  <button
    class="here"
    onclick={() =>
      navigation.drawer?.of === 'position' ? navigation.close() : navigation.open({ of: 'position' })}
    title={texts.whereYouAreP(here?.name ?? '')}
  >
    <UserAvatar size={20} />
    <span class="mono">{who}</span>
  </button>
  <button onclick={() => themeStore.next()} title={texts.changeToTheTheme(theme.next)}>
    <ThemeIcon size={20} /><span>{theme.label}</span>
  </button>
  <button onclick={() => (navigation.keysOpen = true)} title={texts.keysAndHelp}>
    <Help size={20} /><span>{texts.help}</span>
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
  button {
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
  button:hover {
    background: var(--yb-hover);
    color: var(--yb-ink);
  }

  a.here {
    border-left-color: var(--yb-accent);
    color: var(--yb-ink);
    background: var(--yb-selected);
  }

  button.here {
    margin-top: auto;
  }

  @media (max-width: 700px) {
    .rail {
      flex-direction: row;
      width: auto;
      padding: 0;
      border-top: 1px solid var(--yb-line);
      border-right: 0;
    }

    a,
    button {
      flex: 1;
      min-width: 0;
      height: 44px;
      border-left: 0;
      border-top: 3px solid transparent;
    }

    a.here {
      border-top-color: var(--yb-accent);
    }

    button.here {
      margin-top: 0;
    }

    a span,
    button span {
      position: absolute;
      width: 1px;
      height: 1px;
      clip-path: inset(50%);
    }
  }

  button span {
    max-width: 100%;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
</style>
