<script lang="ts">
  import type { Spot } from '../../../platform/api/client';
  import { grouped, kiloHertz } from '../../../platform/shared/format';
  import { texts } from './texts';

  interface Props {
    /** Those worth most first. */
    spots: Spot[];
    ongo: (spot: Spot) => void;
  }

  let { spots, ongo }: Props = $props();

  const MAX_SHOWN = 3;

  const shown = $derived(spots.slice(0, MAX_SHOWN));
</script>

<div class="room">
  <div class="keys next" role="group" aria-label={texts.nextStations}>
    <span class="muted">{texts.worthMost}</span>
    {#each shown as spot (spot.id)}
      <button aria-label={texts.goTo(spot.call, spot.contest?.words ?? '')} onclick={() => ongo(spot)}>
        <strong class="mono">{spot.call}</strong>
        <span class="mono">{kiloHertz(spot.frequencyHz)}</span>
        <span class="muted">{spot.contest?.words ?? ''}</span>
        <span class="mono">{texts.rise(grouped(spot.contest?.rise ?? 0))}</span>
      </button>
    {:else}
      <span class="muted">{texts.nobodyCounts}</span>
    {/each}
  </div>
</div>

<style>
  .room {
    container-type: inline-size;
  }

  .next {
    gap: 4px 8px;
    min-height: 28px;
  }

  .next button {
    display: flex;
    gap: 8px;
    align-items: center;
    white-space: nowrap;
  }

  /* One line, so that the contacts above keep their room. */
  @container (max-width: 1360px) {
    .next button:nth-of-type(3) {
      display: none;
    }
  }

  @container (max-width: 900px) {
    .next button:nth-of-type(2) {
      display: none;
    }
  }
</style>
