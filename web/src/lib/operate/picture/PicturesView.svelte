<script lang="ts">
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { useStore } from '../../platform/page/stores';
  import Pages from '../../platform/shared/Pages.svelte';
  import Gallery from './Gallery.svelte';
  import PictureFolders from './PictureFolders.svelte';
  import ReplyComposer from './ReplyComposer.svelte';

  const navigation = useStore(Navigation);

  const PAGES = [
    { id: 'received', label: 'Received', says: '' },
    { id: 'reply', label: 'Reply', says: 'Compose a picture for your picture program to transmit.' },
    { id: 'folders', label: 'Folders', says: 'Where your picture program keeps its pictures.' },
  ] as const;

  const page = $derived(PAGES.find((one) => one.id === navigation.page)?.id ?? 'received');
</script>

<Pages title="Pictures" base="pictures" pages={PAGES} {page} fill={page !== 'folders'}>
  {#if page === 'reply'}<ReplyComposer />
  {:else if page === 'folders'}<PictureFolders />
  {:else}<Gallery />
  {/if}
</Pages>
