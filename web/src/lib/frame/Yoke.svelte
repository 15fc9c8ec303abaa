<script lang="ts">
  import { clock } from '../shared/clock.svelte';
  import { grouped, megaHertz, secondName, secondTime } from '../shared/format';
  import { preferred } from '../shared/preferred.svelte';
  import type { AppState } from './app.svelte';
  import { fitPlates, type PlateFit } from './plate-room';
  import Plate from './Plate.svelte';

  let { app }: { app: AppState } = $props();

  const radio = $derived(app.radios.chosen);
  const now = $derived(radio?.now);
  /** Padding, gaps and the two tracks. */
  const BESIDES_PX = 64;
  let width = $state(1280);
  let hubWidth = $state(400);
  const fit = $derived(fitPlates(app.hookups.plates, app.hookups.services, width - hubWidth - BESIDES_PX));
</script>

{#snippet others(side: PlateFit)}
  {#if side.more > 0}
    <a
      class="others plate-box"
      class:bad={side.moreTroubled > 0}
      href={app.address('hookups')}
      aria-label={`${side.more} more${side.moreTroubled > 0 ? `, ${side.moreTroubled} in trouble` : ''}: all hookups`}
    >
      <span class="mono">+{side.more}</span>
      {#if side.moreTroubled > 0}<span>{side.moreTroubled} in trouble</span>{/if}
    </a>
  {/if}
{/snippet}

<header class="yoke" aria-label="Yoke" bind:clientWidth={width}>
  <div class="beam" aria-hidden="true"></div>
  <div class="side left">
    {@render others(fit.left)}
    {#each fit.left.shown as hookup (hookup.id)}
      <Plate {hookup} onopen={() => app.showHookup(hookup.id)} />
    {/each}
    <div class="track" aria-hidden="true">
      {#each app.beads.filter((b) => b.from === 'source') as bead (bead.id)}
        <span class="bead" onanimationend={() => app.beadArrived(bead.id)}></span>
      {/each}
    </div>
  </div>
  <div class="hub" bind:offsetWidth={hubWidth}>
    {#if now}
      <a class="dial" href="#/desk" title={`${radio?.name}: what would be logged now`}>
        <span class="mono time" data-testid="yoke-dial">{megaHertz(now.frequencyHz)}</span>
        <span class="label mode"
          >{[now.mode, now.band?.replace(/(c?m)$/, '\u2009$1')].filter(Boolean).join(' · ')}</span
        >
      </a>
      <span class="divide"></span>
    {/if}
    <span class="label log-label">Log</span>
    <span class="mono count" data-testid="log-total">{grouped(app.latest.total)}</span>
    <span class="divide log"></span>
    <span class="clocks" title={`${secondTime(clock.now)} ${secondName()} time`}>
      <span class="mono time">{clock.utc}</span>
      <span class="label utc">UTC</span>
      {#if preferred.secondClock}
        <span class="second"><span class="mono">{secondTime(clock.now)}</span> {secondName()}</span>
      {/if}
    </span>
    {#if app.clockCheck.offset}
      <button
        class="offset mono"
        class:bad={app.hookups.clock?.state === 'TROUBLE'}
        title={app.clockCheck.view?.sentence}
        onclick={() => app.showHookup('clock')}
      >
        clock {app.clockCheck.offset}
      </button>
    {/if}
    {#if app.hookups.secondCopy?.state === 'TROUBLE'}
      <button
        class="offset bad"
        title={app.hookups.secondCopy.reason}
        onclick={() => app.showHookup('second-copy')}>{app.hookups.secondCopy.brief}</button
      >
    {/if}
  </div>
  <div class="side right">
    <div class="track" aria-hidden="true">
      {#each app.beads.filter((b) => b.from === 'service') as bead (bead.id)}
        <span class="bead" onanimationend={() => app.beadArrived(bead.id)}></span>
      {/each}
    </div>
    {#each fit.right.shown as hookup (hookup.id)}
      <Plate {hookup} onopen={() => app.showHookup(hookup.id)} />
    {/each}
    {@render others(fit.right)}
  </div>
</header>

<style>
  .yoke {
    position: relative;
    display: flex;
    gap: 4px;
    align-items: center;
    height: var(--yb-yoke-height);
    padding: 0 8px;
    background: var(--yb-panel);
    border-bottom: 1px solid var(--yb-line);
  }

  .beam {
    position: absolute;
    left: 24px;
    right: 24px;
    top: 50%;
    border-top: 2px solid var(--yb-line-strong);
  }

  /* All plates share what the middle leaves. */
  .side {
    display: contents;
  }

  .track {
    position: relative;
    flex: 1;
    height: 10px;
    min-width: 12px;
  }

  .bead {
    position: absolute;
    top: 0;
    left: 0;
    width: 10px;
    height: 10px;
    border-radius: 5px;
    background: var(--yb-accent);
    animation: travel 900ms ease-in-out forwards;
  }

  @keyframes travel {
    from {
      left: 0;
    }
    to {
      left: calc(100% - 10px);
      opacity: 0.4;
    }
  }

  @media (prefers-reduced-motion: reduce) {
    .bead {
      animation-duration: 1ms;
    }
  }

  .hub {
    flex: none;
    white-space: nowrap;
    position: relative;
    z-index: 1;
    display: flex;
    align-items: baseline;
    gap: 8px;
    height: 40px;
    padding: 0 12px;
    line-height: 38px;
    border: 2px solid var(--yb-line-strong);
    border-radius: 20px;
    background: var(--yb-ground);
  }

  .dial {
    display: flex;
    align-items: baseline;
    gap: 8px;
    color: inherit;
    text-decoration: none;
    white-space: nowrap;
  }

  .label {
    color: var(--yb-ink-2);
    font-size: 13px;
  }

  .count,
  .time {
    font-size: 18px;
    font-weight: 600;
  }

  .clocks {
    display: flex;
    align-items: baseline;
    gap: 8px;
    white-space: nowrap;
  }

  .second {
    color: var(--yb-ink-2);
    font-size: 13px;
  }

  .others {
    flex: none;
    align-items: center;
    min-width: 40px;
    font-size: 12px;
    line-height: 16px;
    text-decoration: none;
    white-space: nowrap;
  }

  .others.bad {
    border-color: var(--yb-trouble);
    color: var(--yb-trouble);
  }

  .offset {
    padding: 0 6px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 2px;
    background: none;
    color: var(--yb-ink);
    font-size: 12px;
    line-height: 22px;
    white-space: nowrap;
    cursor: pointer;
  }

  .offset.bad {
    border-color: var(--yb-trouble);
    color: var(--yb-trouble);
    font-weight: 600;
  }

  @media (max-width: 1000px) {
    .hub {
      gap: 4px;
      padding: 0 12px;
    }

    .divide {
      margin: 0 4px;
    }

    .mode,
    .log-label {
      display: none;
    }
  }

  /* The clock and the frequency stay, whatever else goes. */
  @media (max-width: 700px) {
    .count,
    .utc,
    .divide.log,
    .offset:not(.bad) {
      display: none;
    }

    .hub {
      padding: 0 8px;
    }

    .count,
    .time {
      font-size: 16px;
    }

    .offset.bad {
      max-width: 60px;
      overflow: hidden;
      text-overflow: ellipsis;
    }
  }

  @media (max-width: 1500px) {
    .second {
      display: none;
    }
  }

  @media (max-width: 480px) {
    .yoke {
      justify-content: space-between;
      padding: 0 4px;
    }

    .track {
      display: none;
    }

    .hub {
      padding: 0 6px;
    }

    .others {
      padding: 0 2px;
      font-size: 11px;
    }
  }

  .divide {
    width: 1px;
    height: 20px;
    margin: 0 8px;
    align-self: center;
    background: var(--yb-line);
  }
</style>
