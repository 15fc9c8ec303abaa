<script lang="ts">
  import { fitPlates, type PlateFit } from './plate-room';
  import Plate from './Plate.svelte';
  import YokeHub from './YokeHub.svelte';
  import { BeadStore } from './beads.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { HookupStore } from '../hookup/hookups.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const beads = useStore(BeadStore);
  const navigation = useStore(Navigation);
  const hookups = useStore(HookupStore);

  /** Padding, gaps and the two tracks. */
  const BESIDES_PX = 64;
  let width = $state(1280);
  let hubWidth = $state(400);
  const fit = $derived(fitPlates(hookups.plates, hookups.services, width - hubWidth - BESIDES_PX));
</script>

{#snippet others(side: PlateFit)}
  {#if side.more > 0}
    <a
      class="others plate-box"
      class:bad={side.moreTroubled > 0}
      href={navigation.address('hookups')}
      aria-label={texts.moreAllHookups(
        side.more,
        side.moreTroubled > 0 ? `, ${side.moreTroubled} in trouble` : '',
      )}
    >
      <span class="mono">+{side.more}</span>
      {#if side.moreTroubled > 0}<span>{texts.inTroubleMoreTroubled(side.moreTroubled)}</span>{/if}
    </a>
  {/if}
{/snippet}

<header class="yoke" aria-label={texts.yoke} bind:clientWidth={width}>
  <div class="beam" aria-hidden="true"></div>
  <div class="side left">
    {@render others(fit.left)}
    {#each fit.left.shown as hookup (hookup.id)}
      <Plate {hookup} onopen={() => navigation.showHookup(hookup.id)} />
    {/each}
    <div class="track" aria-hidden="true">
      {#each beads.all.filter((b) => b.from === 'source') as bead (bead.id)}
        <span class="bead" onanimationend={() => beads.arrived(bead.id)}></span>
      {/each}
    </div>
  </div>
  <YokeHub bind:width={hubWidth} />
  <div class="side right">
    <div class="track" aria-hidden="true">
      {#each beads.all.filter((b) => b.from === 'service') as bead (bead.id)}
        <span class="bead" onanimationend={() => beads.arrived(bead.id)}></span>
      {/each}
    </div>
    {#each fit.right.shown as hookup (hookup.id)}
      <Plate {hookup} onopen={() => navigation.showHookup(hookup.id)} />
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

  @media (max-width: 480px) {
    .yoke {
      justify-content: space-between;
      padding: 0 4px;
    }

    .track {
      display: none;
    }

    .others {
      padding: 0 2px;
      font-size: 11px;
    }
  }
</style>
