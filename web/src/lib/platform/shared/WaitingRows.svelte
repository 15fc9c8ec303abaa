<script lang="ts">
  let { held }: { held: { waiting: number; release: () => void } } = $props();
</script>

{#if held.waiting > 0}
  <button class="more" onclick={() => held.release()}>{held.waiting} new · show</button>
{/if}
