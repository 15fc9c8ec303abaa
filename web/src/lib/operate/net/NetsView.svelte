<script lang="ts">
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { useStore } from '../../platform/page/stores';
  import Attendance from './Attendance.svelte';
  import NetList from './NetList.svelte';
  import NetSheet from './NetSheet.svelte';

  const navigation = useStore(Navigation);

  /** The session that the address names. */
  const sessionId = $derived(/^\d+$/.test(navigation.page) ? Number(navigation.page) : undefined);
  /** The net whose attendance the address names. */
  const attended = $derived(/^attendance-(\d+)$/.exec(navigation.page)?.[1]);
</script>

{#if attended !== undefined}
  {#key attended}<Attendance id={Number(attended)} />{/key}
{:else if sessionId === undefined}
  <NetList />
{:else}
  {#key sessionId}<NetSheet id={sessionId} />{/key}
{/if}
