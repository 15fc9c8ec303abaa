<script lang="ts">
  import { utcSecond } from '../shared/format';
  import { texts } from './texts';

  let { lostAt }: { lostAt: number | undefined } = $props();
</script>

<div class="offline" role="status">
  {#if lostAt === undefined}
    {texts.connectingToYokebar}
  {:else}
    <strong>{texts.offline}</strong>
    {texts.yokebarDoesNotAnswerWhat}
    <span class="mono">{utcSecond(new Date(lostAt).toISOString())}</span>
    {texts.utcItCatchesUpAutomatically}
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
