<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { Problem, type Lane, type ServiceOutlook } from '../../platform/api/client';
  import { counted, grouped } from '../../platform/shared/format';
  import HeldBack from './HeldBack.svelte';
  import ProblemList from './ProblemList.svelte';
  import Receipts from './Receipts.svelte';
  import WhenToSend from './WhenToSend.svelte';
  import { LaneStore } from './lanes.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  let { lane, ready, onsetup }: { lane: Lane; ready: boolean; onsetup: () => void } = $props();
  const lanes = useStore(LaneStore);

  let outlook = $state.raw<ServiceOutlook | undefined>(undefined);
  let problem = $state('');
  let fromDay = $state('');
  let untilDay = $state('');
  let notice = $state('');

  $effect(() => {
    void lane.counts;
    lanes.outlook(lane.id).then(
      (answer) => (outlook = answer),
      (e: unknown) => (problem = e instanceof Problem ? e.message : String(e)),
    );
  });

  async function act(action: () => Promise<void>, done: string) {
    problem = '';
    notice = '';
    try {
      await action();
      notice = done;
    } catch (e) {
      problem = e instanceof Problem ? e.message : String(e);
    }
  }
</script>

<WhenToSend {lane} {lanes} />

{#if outlook && lane.due > 0}
  <section aria-label={texts.toBeSent}>
    <h3 class="small-head">
      {texts.toBeSent}
      <span class="hint">{texts.previewOnlyHandovers(counted(outlook.handovers, 'handover'))}</span>
    </h3>
    <p class="going">
      {#each outlook.going as one, i (one.ownCall)}
        {#if i > 0}<span class="muted"> · </span>{/if}
        <span class="mono">{grouped(one.contacts)}</span>
        {texts.as} <span class="mono">{one.ownCall}</span>,
        {one.from.slice(0, 10)}{one.from.slice(0, 10) === one.until.slice(0, 10)
          ? ''
          : texts.toWords(one.until.slice(0, 10))}
      {/each}
    </p>
    <div class="choose">
      {#if !lane.proven}
        <Button
          kind="tertiary"
          size="small"
          disabled={!ready}
          on:click={() => act(() => lanes.handOver(lane.id, { maxContacts: 1 }), texts.oneContactIsOnIts)}
          >{texts.tryWithOneContact}</Button
        >
      {/if}
      <label>{texts.from} <input placeholder="2026-05-01" bind:value={fromDay} /></label>
      <label>{texts.until} <input placeholder="2026-05-31" bind:value={untilDay} /></label>
      <Button
        kind="ghost"
        size="small"
        disabled={!ready || (!fromDay && !untilDay)}
        on:click={() =>
          act(
            () =>
              lanes.handOver(lane.id, {
                fromDay: fromDay || undefined,
                untilDay: untilDay || undefined,
              }),
            texts.thoseAreOnTheirWay,
          )}>{texts.handOverTheseDays}</Button
      >
      <span role="status">{notice}</span>
    </div>
  </section>
{/if}
{#if problem}<p class="trouble" role="alert">{problem}</p>{/if}

{#if lane.counts['REFUSED']}
  <p class="choose">
    <Button
      kind="ghost"
      size="small"
      on:click={() => act(() => lanes.sendRefusedAgain(lane.id), texts.theyAreDueAgain)}
      >{texts.sendAgainContacts(counted(lane.counts['REFUSED'], texts.refusedContact))}</Button
    >
    <span class="hint">{texts.ifTheRefusalWasA}</span>
  </p>
{/if}
<ProblemList
  title={texts.refused}
  hint={texts.correctTheContactAndIt}
  lines={lanes.refused[lane.id] ?? []}
  total={lane.counts['REFUSED'] ?? 0}
  {lane}
/>
{#if outlook && outlook.held.length > 0}
  <HeldBack {lane} held={outlook.held} {onsetup} />
{/if}
<Receipts handovers={lane.handovers} />

<style>
  section {
    margin-top: 12px;
  }

  .going {
    margin: 4px 0;
  }

  .choose {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 12px;
  }

  input {
    width: 112px;
    height: 28px;
    padding: 0 6px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 2px;
    background: var(--yb-raised);
    color: var(--yb-ink);
    font: inherit;
  }
</style>
