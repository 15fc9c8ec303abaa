<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { AppState } from '../frame/app.svelte';
  import Pages from '../shared/Pages.svelte';
  import CardDesk from './CardDesk.svelte';
  import LanesPage from './LanesPage.svelte';
  import MailPage from './MailPage.svelte';

  let { app }: { app: AppState } = $props();

  const PAGES = [
    {
      id: 'lanes',
      label: 'Lanes',
      says: 'Handed over is not accepted: only a service’s own report moves a contact on.',
    },
    { id: 'cards', label: 'Card desk', says: 'Paper and electronic cards, sent and received.' },
    { id: 'mail', label: 'Outbox', says: 'Signed batches that go by radio mail when there is no network.' },
  ] as const;

  const page = $derived(PAGES.find((p) => p.id === app.page)?.id ?? 'lanes');
  const paused = $derived(app.lanes.all.some((lane) => lane.paused));
</script>

<Pages title="Services" base="services" pages={PAGES} {page}>
  {#snippet beside()}
    <span class="pause">
      {#if paused}<strong>All handing over is paused.</strong>{/if}
      <Button kind="ghost" size="small" on:click={() => app.lanes.pause(!paused)}>
        {paused ? 'Go on' : 'Pause all'}
      </Button>
    </span>
  {/snippet}
  {#if app.lanes.problem}
    <p class="trouble" role="alert">{app.lanes.problem}</p>
  {/if}
  {#if page === 'cards'}<CardDesk {app} />
  {:else if page === 'mail'}<MailPage {app} />
  {:else}<LanesPage {app} />{/if}
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
