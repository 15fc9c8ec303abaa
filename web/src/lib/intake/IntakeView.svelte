<script lang="ts">
  import type { AppState } from '../frame/app.svelte';
  import ImportPage from './ImportPage.svelte';
  import Journal from './Journal.svelte';
  import SourcesPage from './SourcesPage.svelte';

  let { app }: { app: AppState } = $props();

  const PAGES = [
    { id: 'journal', label: 'Journal', says: 'Every record that came in, with what was decided about it.' },
    { id: 'sources', label: 'Sources', says: 'Where records come from, and what is done with them.' },
    {
      id: 'import',
      label: 'Import',
      says: 'A log is looked at first; nothing is taken in before you say so.',
    },
  ] as const;

  const page = $derived(PAGES.find((p) => p.id === app.page) ?? PAGES[0]);

  $effect(() => void app.intake.load());
</script>

<section class="view" aria-label="Intake">
  <div class="view-head">
    <h1>Intake</h1>
    <nav aria-label="Intake pages">
      {#each PAGES as { id, label } (id)}
        <a href={`#/intake/${id}`} aria-current={page.id === id ? 'page' : undefined}>{label}</a>
      {/each}
    </nav>
    <span class="muted">{page.says}</span>
  </div>
  {#if app.intake.problem}<p class="trouble" role="alert">{app.intake.problem}</p>{/if}
  {#if page.id === 'sources'}<SourcesPage {app} />
  {:else if page.id === 'import'}<ImportPage {app} />
  {:else}<Journal {app} />{/if}
</section>

<style>
  nav {
    display: flex;
    gap: 20px;
    margin: 0 12px;
  }

  nav a {
    padding: 4px 0;
    border-bottom: 2px solid transparent;
    color: var(--yb-ink-2);
    text-decoration: none;
  }

  nav a[aria-current] {
    border-bottom-color: var(--yb-accent);
    color: var(--yb-ink);
    font-weight: 600;
  }
</style>
