<script lang="ts">
  import type { Hookup } from '../api/client';

  /** The state of a coupling as a shape: solid live, solid with a gap slow, hollow quiet, broken trouble, dotted starting, none off. */
  let { state }: { state: Hookup['state'] } = $props();
</script>

<svg class="notch {state.toLowerCase()}" viewBox="0 0 28 6" width="28" height="6" aria-hidden="true">
  {#if state === 'LIVE'}
    <rect x="0" y="1" width="28" height="4" rx="1" fill="currentColor" />
  {:else if state === 'SLOW'}
    <rect x="0" y="1" width="17" height="4" rx="1" fill="currentColor" />
    <rect x="20" y="1" width="8" height="4" rx="1" fill="currentColor" />
  {:else if state === 'QUIET'}
    <rect
      x="0.75"
      y="1"
      width="26.5"
      height="4"
      rx="1"
      fill="none"
      stroke="currentColor"
      stroke-width="1.5"
    />
  {:else if state === 'TROUBLE'}
    <path d="M0 1h11l-3 4H0zM28 5H16l3-4h9z" fill="currentColor" />
  {:else if state === 'STARTING'}
    {#each [0, 8, 16, 24] as x (x)}
      <rect {x} y="1" width="4" height="4" rx="2" fill="currentColor" />
    {/each}
  {/if}
</svg>

<style>
  .notch {
    display: block;
    color: var(--yb-accent);
  }

  .trouble {
    color: var(--yb-trouble);
  }

  .quiet,
  .starting {
    color: var(--yb-ink-2);
  }
</style>
