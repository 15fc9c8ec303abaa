<script lang="ts">
  import type { AppState } from '../frame/app.svelte';
  import Pages from '../shared/Pages.svelte';
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
      says: 'A log is previewed first; nothing is imported until you confirm.',
    },
  ] as const;

  const page = $derived(PAGES.find((p) => p.id === app.page)?.id ?? 'journal');

  $effect(() => void app.intake.load());
</script>

<Pages title="Intake" base="intake" pages={PAGES} {page}>
  {#if app.intake.problem}<p class="trouble" role="alert">{app.intake.problem}</p>{/if}
  {#if page === 'sources'}<SourcesPage {app} />
  {:else if page === 'import'}<ImportPage {app} />
  {:else}<Journal {app} />{/if}
</Pages>
