<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { useStore } from '../../platform/page/stores';
  import { PositionStore } from './positions.svelte';
  import { texts } from './texts';

  /** A browser that was at no position yet is asked, where there are several; until then it is at the first. */
  const positions = useStore(PositionStore);
</script>

{#if positions.mustAsk}
  <div class="ask" role="region" aria-label={texts.whichPosition}>
    <span>{texts.whichPositionIsThisBrowser}</span>
    {#each positions.all as position (position.id)}
      <Button size="small" kind="tertiary" on:click={() => void positions.sitDown(position.id)}
        >{position.name}</Button
      >
    {/each}
  </div>
{/if}

<style>
  .ask {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    align-items: center;
    padding: 8px 24px;
    border-bottom: 1px solid var(--yb-line);
    background: var(--yb-raised);
  }
</style>
