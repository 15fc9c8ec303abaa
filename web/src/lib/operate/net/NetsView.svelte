<script lang="ts">
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { useStore } from '../../platform/page/stores';
  import Roster from './Roster.svelte';
  import NetList from './NetList.svelte';
  import NetSheet from './NetSheet.svelte';

  const navigation = useStore(Navigation);

  /** The session that the address names. */
  const sessionId = $derived(/^\d+$/.test(navigation.page) ? Number(navigation.page) : undefined);
  /** The net whose roster the address names. */
  const rostered = $derived(/^roster-(\d+)$/.exec(navigation.page)?.[1]);
</script>

{#if rostered !== undefined}
  {#key rostered}<Roster id={Number(rostered)} />{/key}
{:else if sessionId === undefined}
  <NetList />
{:else}
  {#key sessionId}<NetSheet id={sessionId} />{/key}
{/if}
