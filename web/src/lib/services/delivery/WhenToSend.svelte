<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { Lane } from '../../platform/api/client';
  import { clock } from '../../platform/shared/clock.svelte';
  import { ago } from '../../platform/shared/format';
  import type { LaneStore } from './lanes.svelte';
  import { texts } from './texts';

  let { lane, lanes }: { lane: Lane; lanes: LaneStore } = $props();

  const WAYS = [
    { when: 'BY_HAND', label: texts.byHandNothingIsSent },
    { when: 'AT_ONCE', label: texts.automaticallyWithinSeconds },
    { when: 'EVERY', label: texts.automaticallyEverySoManyMinutes },
    { when: 'AT_EXIT', label: texts.automaticallyWhenYokebarEnds },
  ] as const;
</script>

<div class="when">
  <label>
    <span class="visually-hidden">{texts.whenItIsHandedOver}</span>
    <select
      value={lane.when}
      onchange={(event) =>
        lanes.change(lane.id, { when: event.currentTarget.value as (typeof WAYS)[number]['when'] })}
    >
      {#each WAYS as { when, label } (when)}<option value={when}>{label}</option>{/each}
    </select>
  </label>
  {#if lane.when === 'EVERY'}
    <label>
      {texts.every}
      <input
        type="number"
        min="1"
        max="1440"
        value={lane.everyMinutes}
        onchange={(event) => lanes.change(lane.id, { everyMinutes: Number(event.currentTarget.value) })}
      />
      {texts.min}
    </label>
  {/if}
  {#if lane.when === 'BY_HAND' && lane.proven}
    <span class="offer">
      {texts.theFirstReportWasReceived}
      <Button kind="ghost" size="small" on:click={() => lanes.change(lane.id, { when: 'AT_ONCE' })}
        >{texts.sendAutomatically}</Button
      >
    </span>
  {/if}
  <span class="muted last" role="status">
    {lanes.fetched[lane.id] ?? ''}
    {#if lane.confirmationsUntil}{texts.confirmationsFetchedWhen(
        ago(lane.confirmationsUntil, clock.now),
      )}{/if}
  </span>
</div>

<style>
  .when {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 16px;
    margin: 8px 0;
  }

  select,
  input {
    height: 30px;
    padding: 0 8px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 2px;
    background: var(--yb-raised);
    color: var(--yb-ink);
    font: inherit;
  }

  input {
    width: 72px;
  }

  .offer {
    display: flex;
    align-items: center;
    gap: 4px;
  }

  .last {
    margin-left: auto;
  }
</style>
