<script lang="ts">
  import Pages from '../../platform/shared/Pages.svelte';
  import ImportPage from './ImportPage.svelte';
  import Journal from './Journal.svelte';
  import SourcesPage from './SourcesPage.svelte';
  import { IntakeStore } from './intake.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const intake = useStore(IntakeStore);
  const navigation = useStore(Navigation);

  const PAGES = [
    { id: 'journal', label: texts.journal, says: texts.everyReceivedRecordWithWhat },
    { id: 'sources', label: texts.sources, says: texts.whereRecordsComeFromAnd },
    {
      id: 'import',
      label: texts.import,
      says: texts.aLogIsPreviewedFirst,
    },
  ] as const;

  const page = $derived(PAGES.find((p) => p.id === navigation.page)?.id ?? 'journal');

  $effect(() => void intake.load());
</script>

<Pages title={texts.intake} base="intake" pages={PAGES} {page}>
  {#if intake.problem}<p class="trouble" role="alert">{intake.problem}</p>{/if}
  {#if page === 'sources'}<SourcesPage />
  {:else if page === 'import'}<ImportPage />
  {:else}<Journal />{/if}
</Pages>
