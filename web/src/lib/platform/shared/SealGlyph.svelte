<script lang="ts">
  /** Where a contact stands at a service, as a shape; the word stands beside it or in the title. */
  let { state, size = 14 }: { state: string; size?: number } = $props();
</script>

<svg class="seal" viewBox="0 0 14 14" width={size} height={size} aria-hidden="true">
  {#if state === 'HELD'}
    <circle cx="7" cy="7" r="5.5" class="line" />
    <path d="M4 7h6" class="line" />
  {:else if state === 'DUE'}
    <circle cx="7" cy="7" r="5.5" class="line" stroke-dasharray="2.2 2.1" />
  {:else if state === 'HANDED_OVER'}
    <circle cx="7" cy="7" r="5.5" class="line" />
    <path d="M7 1.5a5.5 5.5 0 0 0 0 11z" class="fill" />
  {:else if state === 'ACCEPTED'}
    <circle cx="7" cy="7" r="5.5" class="line" />
    <circle cx="7" cy="7" r="3" class="fill" />
  {:else if state === 'CONFIRMED'}
    <circle cx="7" cy="7" r="6.25" class="fill" />
    <path d="M4 7.2l2.2 2.2L10.2 5" class="cut" />
  {:else if state === 'REFUSED'}
    <circle cx="7" cy="7" r="5.5" class="line bad" />
    <path d="M4.8 4.8l4.4 4.4M9.2 4.8l-4.4 4.4" class="line bad" />
  {:else if state === 'CHANGED'}
    <circle cx="7" cy="7" r="5.5" class="line" stroke-dasharray="12 5.3" />
    <circle cx="7" cy="7" r="2" class="fill" />
  {:else}
    <path d="M3.5 7h7" class="line" />
  {/if}
</svg>

<style>
  .seal {
    color: var(--yb-accent);
    flex: none;
  }

  .line {
    fill: none;
    stroke: currentColor;
    stroke-width: 1.5;
  }

  .fill {
    fill: currentColor;
  }

  .cut {
    fill: none;
    stroke: var(--yb-ground);
    stroke-width: 1.8;
  }

  .bad {
    color: var(--yb-trouble);
  }
</style>
