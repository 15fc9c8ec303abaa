<script lang="ts" module>
  /** What had the focus before the first drawer opened; it gets it back when the last one closes. */
  let opener: HTMLElement | undefined;
</script>

<script lang="ts">
  import { texts } from './texts';

  import { onMount, tick, type Snippet } from 'svelte';
  import { Button } from 'carbon-components-svelte';
  import { Close } from 'carbon-icons-svelte';

  let {
    label,
    title,
    mono = false,
    subtitle = '',
    onclose,
    children,
  }: {
    label: string;
    title: string;
    mono?: boolean;
    subtitle?: string;
    onclose: () => void;
    children: Snippet;
  } = $props();

  let heading = $state<HTMLElement | null>(null);

  onMount(() => {
    const before = document.activeElement;
    if (before instanceof HTMLElement && before !== document.body && before.isConnected) {
      opener = before;
    }
    heading?.focus();
    return async () => {
      await tick();
      if (document.querySelector('.drawer') === null) {
        opener?.focus();
        opener = undefined;
      }
    };
  });
</script>

<aside class="drawer" aria-label={label}>
  <header>
    <div>
      <h2 class="title" class:mono tabindex="-1" bind:this={heading}>{title}</h2>
      <p class="muted">{subtitle}</p>
    </div>
    <Button kind="ghost" size="small" iconDescription={texts.close} icon={Close} on:click={onclose} />
  </header>
  <div class="content">{@render children()}</div>
</aside>

<style>
  .drawer {
    display: flex;
    flex-direction: column;
    width: var(--yb-drawer-width);
    flex: none;
    background: var(--yb-panel);
    border-left: 1px solid var(--yb-line);
  }

  header {
    display: flex;
    justify-content: space-between;
    padding: 12px 12px 8px 20px;
    border-bottom: 1px solid var(--yb-line);
  }

  .title {
    font-size: 20px;
    font-weight: 600;
    line-height: 32px;
    outline: none;
  }

  .title.mono {
    font-size: 24px;
  }

  .content {
    flex: 1;
    overflow-y: auto;
    padding: 12px 20px 24px;
    scrollbar-color: var(--yb-line-strong) transparent;
  }
</style>
