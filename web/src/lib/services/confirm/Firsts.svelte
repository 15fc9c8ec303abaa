<script lang="ts">
  import { LaneStore } from '../delivery/lanes.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  /** What came back from the services and is new: said gently, gone by itself. */
  const lanes = useStore(LaneStore);

  const news = $derived(lanes.firsts);
</script>

<div role="status">
  {#if news}
    <div class="firsts">
      <span>
        {texts.confirmed}
        {#each news.firsts as first, i (first.call + first.brings)}
          {i > 0 ? '; ' : ''}<strong>{first.brings}</strong> {texts.by} <span class="mono">{first.call}</span>
        {/each}
        {news.more > 0 ? texts.andMoreMore(news.more) : ''}
      </span>
      <a href="#/services/lanes">{texts.services}</a>
      <button class="more" onclick={() => lanes.dismissFirsts()}>{texts.dismiss}</button>
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
