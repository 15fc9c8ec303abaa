<script lang="ts">
  import { utcSecond } from '../shared/format';

  let { lostAt }: { lostAt: number | undefined } = $props();
</script>

<div class="offline" role="status">
  {#if lostAt === undefined}
    Connecting to Yokebar…
  {:else}
    <strong>Offline.</strong> Yokebar does not answer. What you see is as of
    <span class="mono">{utcSecond(new Date(lostAt).toISOString())}</span> UTC; it catches up automatically.
  {/if}
</div>

<style>
  .offline {
    padding: 8px 24px;
    border-bottom: 1px solid var(--yb-trouble);
    background: var(--yb-raised);
  }

  strong {
    color: var(--yb-trouble);
    font-weight: 600;
  }
</style>
