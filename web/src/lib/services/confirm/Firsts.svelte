<script lang="ts">
  import { LaneStore } from '../delivery/lanes.svelte';
  import { useStore } from '../../platform/page/stores';

  /** What came back from the services and is new: said gently, gone by itself. */
  const lanes = useStore(LaneStore);

  const news = $derived(lanes.firsts);
</script>

<div role="status">
  {#if news}
    <div class="firsts">
      <span>
        Confirmed:
        {#each news.firsts as first, i (first.call + first.brings)}
          {i > 0 ? '; ' : ''}<strong>{first.brings}</strong> by <span class="mono">{first.call}</span>
        {/each}
        {news.more > 0 ? `and ${news.more} more` : ''}
      </span>
      <a href="#/services/lanes">Services</a>
      <button class="more" onclick={() => lanes.dismissFirsts()}>Dismiss</button>
    </div>
  {/if}
</div>

<style>
  .firsts {
    display: flex;
    align-items: baseline;
    gap: 16px;
    padding: 6px 24px;
    border-top: 1px solid var(--yb-accent);
    background: var(--yb-raised);
  }

  .firsts > span {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  a {
    margin-left: auto;
  }

  .more {
    white-space: nowrap;
  }

  strong {
    font-weight: 600;
  }
</style>
