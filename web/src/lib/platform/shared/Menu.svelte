<script lang="ts">
  import type { Snippet } from 'svelte';
  import { ChevronDown } from 'carbon-icons-svelte';

  let { label, onopen, children }: { label: string; onopen?: () => unknown; children: Snippet } = $props();

  let open = $state(false);
  let box = $state<HTMLDivElement | null>(null);
  /** It opens to the side where there is more room, and no longer than the view it belongs to. */
  let toTheRight = $state(false);
  let maxHeight = $state(0);
  const MARGIN_PX = 8;

  function toggle() {
    open = !open;
    if (open) {
      const place = box?.getBoundingClientRect();
      const view = box?.closest('.place')?.getBoundingClientRect();
      if (place) {
        toTheRight = place.left + place.right < window.innerWidth;
        maxHeight = (view?.bottom ?? window.innerHeight) - place.bottom - MARGIN_PX;
      }
      void onopen?.();
    }
  }

  function onpointerdown(event: PointerEvent) {
    if (open && box && !box.contains(event.target as Node)) {
      open = false;
    }
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'Escape' && open) {
      event.stopPropagation();
      open = false;
      box?.querySelector('button')?.focus();
    }
  }
</script>

<svelte:window {onpointerdown} />

<!-- svelte-ignore a11y_no_static_element_interactions -->
<div class="menu" bind:this={box} {onkeydown}>
  <button class="opener" aria-expanded={open} onclick={toggle}>{label} <ChevronDown size={16} /></button>
  {#if open}<div
      class="content"
      class:to-the-right={toTheRight}
      style:max-height={`${maxHeight}px`}
      role="group"
      aria-label={label}
    >
      {@render children()}
    </div>{/if}
</div>

<style>
  .menu {
    position: relative;
  }

  .opener {
    display: flex;
    align-items: center;
    gap: 4px;
    height: 32px;
    padding: 0 8px;
    border: 0;
    border-radius: 2px;
    background: none;
    color: var(--yb-ink-2);
    font: inherit;
    cursor: pointer;
  }

  .opener:hover,
  .opener[aria-expanded='true'] {
    background: var(--yb-hover);
    color: var(--yb-ink);
  }

  .content {
    position: absolute;
    z-index: 20;
    right: 0;
    width: max-content;
    min-width: 240px;
    max-width: min(480px, 90vw);
    padding: 12px;
    overflow-y: auto;
    border: 1px solid var(--yb-line-strong);
    border-radius: 4px;
    background: var(--yb-panel);
    box-shadow: 0 8px 24px rgb(0 0 0 / 40%);
  }

  .to-the-right {
    right: auto;
    left: 0;
  }
</style>
