<script lang="ts">
  /** Empty: needed. Half: worked. Full: confirmed. Told by shape; the colour only seconds it. */
  let {
    state,
    round = false,
    size = 12,
  }: { state: 'NEEDED' | 'WORKED' | 'CONFIRMED'; round?: boolean; size?: number } = $props();
</script>

<svg width={size} height={size} viewBox="0 0 12 12" aria-hidden="true">
  {#if round}
    <circle cx="6" cy="6" r="4.5" class="edge" />
    {#if state === 'CONFIRMED'}<circle cx="6" cy="6" r="4.5" class="fill" />{/if}
    {#if state === 'WORKED'}<path d="M1.5 6a4.5 4.5 0 0 0 9 0z" class="fill" />{/if}
  {:else}
    <rect x="1.5" y="1.5" width="9" height="9" class="edge" />
    {#if state === 'CONFIRMED'}<rect x="1.5" y="1.5" width="9" height="9" class="fill" />{/if}
    {#if state === 'WORKED'}<rect x="1.5" y="6" width="9" height="4.5" class="fill" />{/if}
  {/if}
</svg>

<style>
  svg {
    flex: none;
  }

  .edge {
    fill: none;
    stroke: var(--yb-ink-2);
  }

  .fill {
    fill: var(--yb-accent);
  }
</style>
