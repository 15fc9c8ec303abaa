<script lang="ts">
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { useStore } from '../../platform/page/stores';
  import ContactLine from './ContactLine.svelte';
  import { LineBarStore } from './line-bar.svelte';

  const navigation = useStore(Navigation);
  const bar = useStore(LineBarStore);

  const onAirNow = $derived(
    navigation.view === 'on-air' && (navigation.page === '' || navigation.page === 'now'),
  );
</script>

{#if navigation.view === 'desk' || onAirNow || bar.open}<ContactLine />{/if}
