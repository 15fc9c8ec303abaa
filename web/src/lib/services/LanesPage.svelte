<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import LanePanel from './LanePanel.svelte';
  import AnotherAccount from './delivery/AnotherAccount.svelte';
  import LaneStrip from './delivery/LaneStrip.svelte';
  import { LaneStore } from './delivery/lanes.svelte';
  import { useStore } from '../platform/page/stores';

  const lanes = useStore(LaneStore);

  const used = $derived(lanes.all.filter((lane) => lane.inUse && !lane.byHand));
  const unused = $derived(lanes.all.filter((lane) => !lane.inUse));
  const chosen = $derived(used.find((lane) => lane.id === lanes.chosen) ?? used[0]);

  const SAYS: Record<string, string> = {
    Quayside: 'Contact by contact, within seconds; edits and deletions follow.',
    Postbag: 'A log in batches, and electronic cards to look at.',
    Countersign: 'Certified confirmations, with signed batches.',
  };
</script>

{#if used.length > 0}
  <div class="lanes" role="tablist" aria-label="Services in use">
    {#each used as lane (lane.id)}
      <LaneStrip {lane} selected={lane.id === chosen?.id} onchoose={() => (lanes.chosen = lane.id)} />
    {/each}
  </div>
{:else if lanes.all.length > 0}
  <p class="muted">No service is in use. Contacts stay in the log until you take one into use.</p>
{:else if !lanes.problem}
  <p class="muted">Reading the services…</p>
{/if}

{#if lanes.all.length > 0}
  <div class="unused">
    {#each unused as lane (lane.id)}
      <span>
        <strong>{lane.name}</strong>
        <span class="muted">{lane.name === lane.kind ? '' : `at ${lane.kind}. `}{SAYS[lane.kind] ?? ''}</span>
        <Button kind="ghost" size="small" on:click={() => lanes.use(lane.id)}>Take into use</Button>
        {#if lane.removable}
          <Button kind="ghost" size="small" on:click={() => lanes.remove(lane.id)}>Remove</Button>
        {/if}
      </span>
    {/each}
    <span><AnotherAccount {lanes} /></span>
  </div>
{/if}

{#if chosen}
  {#key chosen.id}<LanePanel lane={chosen} />{/key}
{/if}

<style>
  .lanes {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
    gap: 8px;
    margin-bottom: 8px;
  }

  .unused {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 32px;
    margin-bottom: 12px;
  }

  .unused > span {
    display: flex;
    align-items: center;
    gap: 8px;
  }

  strong {
    font-weight: 600;
  }
</style>
