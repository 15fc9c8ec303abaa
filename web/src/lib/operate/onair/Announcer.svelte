<script lang="ts">
  import { OnAirStore } from './on-air.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  /** What is announced now; it goes by itself, and where it came from can be seen and switched off. */
  const onAir = useStore(OnAirStore);

  const shown = $derived(onAir.announced.filter((alert) => alert.shown).slice(0, 3));
</script>

<div role="status" aria-label={texts.alerts}>
  {#each shown as alert (alert.number)}
    <div class="alert">
      <span class="text" title={alert.sentence}>{alert.sentence}</span>
      {#if alert.spotId !== undefined}
        <button class="more" onclick={() => void onAir.goTo(alert.spotId ?? 0)}>{texts.goThere}</button>
      {/if}
      <a href="#/on-air/alerts" title={alert.because}>{texts.whyQuestion}</a>
      <button class="more" onclick={() => onAir.dismissAlert(alert.number)}>{texts.dismiss}</button>
    </div>
  {/each}
</div>

<style>
  .alert {
    display: flex;
    align-items: baseline;
    gap: 16px;
    padding: 6px 24px;
    border-top: 1px solid var(--yb-accent);
    background: var(--yb-raised);
  }

  .text {
    flex: 1;
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .more {
    white-space: nowrap;
  }
</style>
