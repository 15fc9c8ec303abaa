<script lang="ts">
  import Pages from '../../platform/shared/Pages.svelte';
  import ImportPage from './ImportPage.svelte';
  import Journal from './Journal.svelte';
  import SourcesPage from './SourcesPage.svelte';
  import { IntakeStore } from './intake.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { useStore } from '../../platform/page/stores';

  const intake = useStore(IntakeStore);
  const navigation = useStore(Navigation);

  const PAGES = [
    { id: 'journal', label: 'Journal', says: 'Every received record, with what was decided about it.' },
    { id: 'sources', label: 'Sources', says: 'Where records come from, and what is done with them.' },
    {
      id: 'import',
      label: 'Import',
      says: 'A log is previewed first; nothing is imported until you confirm.',
    },
  ] as const;

  const page = $derived(PAGES.find((p) => p.id === navigation.page)?.id ?? 'journal');

  $effect(() => void intake.load());
</script>

<Pages title="Intake" base="intake" pages={PAGES} {page}>
  {#if intake.problem}<p class="trouble" role="alert">{intake.problem}</p>{/if}
  {#if page === 'sources'}<SourcesPage />
  {:else if page === 'import'}<ImportPage />
  {:else}<Journal />{/if}
</Pages>
