<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import LanePanel from './LanePanel.svelte';
  import AnotherAccount from './delivery/AnotherAccount.svelte';
  import LaneStrip from './delivery/LaneStrip.svelte';
  import { LaneStore } from './delivery/lanes.svelte';
  import { useStore } from '../platform/page/stores';
  import { texts } from './texts';

  const lanes = useStore(LaneStore);

  const used = $derived(lanes.all.filter((lane) => lane.inUse && !lane.byHand));
  const unused = $derived(lanes.all.filter((lane) => !lane.inUse));
  const chosen = $derived(used.find((lane) => lane.id === lanes.chosen) ?? used[0]);

  const SAYS: Record<string, string> = {
    Quayside: texts.contactByContactWithinSeconds,
    Postbag: texts.aLogInBatchesAnd,
    Countersign: texts.certifiedConfirmationsWithSigned,
  };
</script>

{#if used.length > 0}
  <div class="lanes" role="tablist" aria-label={texts.servicesInUse}>
    {#each used as lane (lane.id)}
      <LaneStrip {lane} selected={lane.id === chosen?.id} onchoose={() => (lanes.chosen = lane.id)} />
    {/each}
  </div>
{:else if lanes.all.length > 0}
  <p class="muted">{texts.noServiceIsInUse}</p>
{:else if !lanes.problem}
  <p class="muted">{texts.readingTheServices}</p>
{/if}

{#if lanes.all.length > 0}
  <div class="unused">
    {#each unused as lane (lane.id)}
      <span>
        <strong>{lane.name}</strong>
        <span class="muted"
          >{lane.name === lane.kind ? '' : texts.atKind(lane.kind)}{SAYS[lane.kind] ?? ''}</span
        >
        <Button kind="ghost" size="small" on:click={() => lanes.use(lane.id)}>{texts.takeIntoUse}</Button>
        {#if lane.removable}
          <Button kind="ghost" size="small" on:click={() => lanes.remove(lane.id)}>{texts.remove}</Button>
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
