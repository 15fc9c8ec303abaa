<script lang="ts">
  import { texts } from './texts';

  let { held }: { held: { waiting: number; release: () => void } } = $props();
</script>

{#if held.waiting > 0}
  <button class="more" onclick={() => held.release()}>{texts.newShowWaiting(held.waiting)}</button>
{/if}
