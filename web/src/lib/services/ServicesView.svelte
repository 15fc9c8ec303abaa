<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import Pages from '../platform/shared/Pages.svelte';
  import CardDesk from './card/CardDesk.svelte';
  import LanesPage from './LanesPage.svelte';
  import MailPage from './mail/MailPage.svelte';
  import { LaneStore } from './delivery/lanes.svelte';
  import { Navigation } from '../platform/page/navigation.svelte';
  import { useStore } from '../platform/page/stores';

  const lanes = useStore(LaneStore);
  const navigation = useStore(Navigation);

  const PAGES = [
    {
      id: 'lanes',
      label: 'Lanes',
      says: 'A contact counts as accepted only when the service reports it.',
    },
    { id: 'cards', label: 'Card desk', says: 'Paper and electronic cards, sent and received.' },
    { id: 'mail', label: 'Outbox', says: 'Signed batches that go by radio mail when there is no network.' },
  ] as const;

  const page = $derived(PAGES.find((p) => p.id === navigation.page)?.id ?? 'lanes');
  const paused = $derived(lanes.all.some((lane) => lane.paused));
</script>

<Pages title="Services" base="services" pages={PAGES} {page}>
  {#snippet beside()}
    <span class="pause">
      {#if paused}<strong>All handing over is paused.</strong>{/if}
      <Button kind="ghost" size="small" on:click={() => lanes.pause(!paused)}>
        {paused ? 'Go on' : 'Pause all'}
      </Button>
    </span>
  {/snippet}
  {#if lanes.problem}
    <p class="trouble" role="alert">{lanes.problem}</p>
  {/if}
  {#if page === 'cards'}<CardDesk />
  {:else if page === 'mail'}<MailPage />
  {:else}<LanesPage />{/if}
</Pages>

<style>
  .pause {
    display: flex;
    align-items: center;
    gap: 8px;
    margin-left: auto;
    white-space: nowrap;
  }

  strong {
    font-weight: 600;
  }
</style>
