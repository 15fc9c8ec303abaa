<script lang="ts">
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { useStore } from '../../platform/page/stores';
  import NetList from './NetList.svelte';
  import NetSheet from './NetSheet.svelte';

  const navigation = useStore(Navigation);

  /** The session that the address names. */
  const sessionId = $derived(/^\d+$/.test(navigation.page) ? Number(navigation.page) : undefined);
</script>

{#if sessionId === undefined}
  <NetList />
{:else}
  {#key sessionId}<NetSheet id={sessionId} />{/key}
{/if}
