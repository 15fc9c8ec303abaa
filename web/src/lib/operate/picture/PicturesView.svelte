<script lang="ts">
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { useStore } from '../../platform/page/stores';
  import Pages from '../../platform/shared/Pages.svelte';
  import Gallery from './Gallery.svelte';
  import PictureFolders from './PictureFolders.svelte';
  import ReplyComposer from './ReplyComposer.svelte';
  import { texts } from './texts';

  const navigation = useStore(Navigation);

  const PAGES = [
    { id: 'received', label: texts.received, says: '' },
    { id: 'reply', label: texts.reply, says: texts.composeAPictureForYour },
    { id: 'folders', label: texts.folders, says: texts.whereYourPictureProgramKeeps },
  ] as const;

  const page = $derived(PAGES.find((one) => one.id === navigation.page)?.id ?? 'received');
</script>

<Pages title={texts.pictures} base="pictures" pages={PAGES} {page} fill={page !== 'folders'}>
  {#if page === 'reply'}<ReplyComposer />
  {:else if page === 'folders'}<PictureFolders />
  {:else}<Gallery />
  {/if}
</Pages>
