<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import Pages from '../platform/shared/Pages.svelte';
  import CardDesk from './card/CardDesk.svelte';
  import LanesPage from './LanesPage.svelte';
  import MailPage from './mail/MailPage.svelte';
  import { LaneStore } from './delivery/lanes.svelte';
  import { Navigation } from '../platform/page/navigation.svelte';
  import { useStore } from '../platform/page/stores';
  import { texts } from './texts';

  const lanes = useStore(LaneStore);
  const navigation = useStore(Navigation);

  const PAGES = [
    {
      id: 'lanes',
      label: texts.lanes,
      says: texts.aContactCountsAsAccepted,
    },
    { id: 'cards', label: texts.cardDesk, says: texts.paperAndElectronicCardsSent },
    { id: 'mail', label: texts.outbox, says: texts.signedBatchesThatGoBy },
  ] as const;

  const page = $derived(PAGES.find((p) => p.id === navigation.page)?.id ?? 'lanes');
  const paused = $derived(lanes.all.some((lane) => lane.paused));
</script>

<Pages title={texts.services} base="services" pages={PAGES} {page}>
  {#snippet beside()}
    <span class="pause">
      {#if paused}<strong>{texts.allHandingOverIsPaused}</strong>{/if}
      <Button kind="ghost" size="small" on:click={() => lanes.pause(!paused)}>
        {paused ? texts.goOn : texts.pauseAll}
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
