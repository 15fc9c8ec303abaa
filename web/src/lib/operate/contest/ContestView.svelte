<script lang="ts">
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { useStore } from '../../platform/page/stores';
  import BookList from './BookList.svelte';
  import BookSheet from './BookSheet.svelte';
  import DefinitionEditor from './definition/DefinitionEditor.svelte';

  const navigation = useStore(Navigation);

  /** The book that the address names. */
  const bookId = $derived(/^\d+$/.test(navigation.page) ? Number(navigation.page) : undefined);
</script>

{#if navigation.page === 'definitions'}
  <DefinitionEditor />
{:else if bookId === undefined}
  <BookList />
{:else}
  {#key bookId}<BookSheet id={bookId} />{/key}
{/if}
