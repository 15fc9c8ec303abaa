<script lang="ts">
  import { outdated, ownScript } from './update';
  import { texts } from './texts';

  /** Says after an update that this page is from before it; what is typed is not thrown away without being asked. */
  let { connected }: { connected: boolean } = $props();

  let old = $state(false);

  $effect(() => {
    if (connected) {
      void outdated(ownScript(document)).then((is) => (old = is));
    }
  });
</script>

{#if old}
  <div class="updated" role="status">
    {texts.yokebarWasUpdatedThisPage}
    <button class="more" onclick={() => location.reload()}>{texts.loadItAgain}</button>
  </div>
{/if}

<style>
  .updated {
    padding: 8px 24px;
    border-bottom: 1px solid var(--yb-accent);
    background: var(--yb-raised);
  }
</style>
