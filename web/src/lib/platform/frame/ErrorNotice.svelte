<script lang="ts">
  import { Problem } from '../api/client';
  import { texts } from './texts';

  /** What a key was pressed for and did not work is notice, wherever the key was and whoever forgot to say it there. */
  let notice = $state('');

  function onunhandledrejection(event: PromiseRejectionEvent) {
    if (event.reason instanceof Problem) {
      event.preventDefault();
      notice = event.reason.message;
    }
  }
</script>

<svelte:window {onunhandledrejection} />

{#if notice}
  <div class="notice" role="alert">
    <span>{texts.thatDidNotWork(notice)}</span>
    <button class="more" onclick={() => (notice = '')}>{texts.dismiss}</button>
  </div>
{/if}

<style>
  .notice {
    display: flex;
    gap: 16px;
    padding: 8px 24px;
    border-bottom: 1px solid var(--yb-trouble);
    background: var(--yb-raised);
  }
</style>
