<script lang="ts">
  import type { Snippet } from 'svelte';
  import { texts } from './texts';

  /** A view of several pages: its name, the way to each page, and what the present one is for. */
  let {
    title,
    base,
    pages,
    page,
    beside,
    fill = false,
    children,
  }: {
    title: string;
    /** First part of the address, such as `intake`. */
    base: string;
    pages: readonly { id: string; label: string; says: string }[];
    page: string;
    beside?: Snippet;
    /** Whether the page fills the view's height itself, rather than scrolling as a whole. */
    fill?: boolean;
    children: Snippet;
  } = $props();

  const present = $derived(pages.find((p) => p.id === page));
</script>

<section class="view" class:fill aria-label={title}>
  <div class="view-head">
    <h1>{title}</h1>
    <nav aria-label={texts.pagesTitle(title)}>
      {#each pages as { id, label } (id)}
        <a href={`#/${base}/${id}`} aria-current={page === id ? 'page' : undefined}>{label}</a>
      {/each}
    </nav>
    <span class="muted">{present?.says}</span>
    {@render beside?.()}
  </div>
  {@render children()}
</section>

<style>
  h1 {
    white-space: nowrap;
  }

  .fill {
    display: flex;
    flex-direction: column;
    padding-bottom: 12px;
    overflow: hidden;
  }

  nav {
    display: flex;
    flex-wrap: wrap;
    gap: 0 20px;
    margin: 0 12px;
  }

  @media (max-width: 700px) {
    nav {
      margin: 0;
    }

    .fill {
      overflow: auto;
    }
  }

  nav a {
    padding: 4px 0;
    border-bottom: 2px solid transparent;
    color: var(--yb-ink-2);
    text-decoration: none;
    white-space: nowrap;
  }

  nav a[aria-current] {
    border-bottom-color: var(--yb-accent);
    color: var(--yb-ink);
    font-weight: 600;
  }
</style>
