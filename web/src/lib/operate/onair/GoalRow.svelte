<script lang="ts">
  import type { GoalChoice } from '../../platform/api/client';
  import { useStore } from '../../platform/page/stores';
  import { LaneStore } from '../../services/delivery/lanes.svelte';
  import { StationStore } from '../../station/profile/station.svelte';
  import { texts } from './texts';

  let {
    goal,
    number,
    onAirNow,
    onchange,
    onremove,
  }: {
    goal: GoalChoice;
    number: number;
    /** How many stations on the air would fulfil it; unknown while it is being counted. */
    onAirNow: number | undefined;
    onchange: (more: Partial<GoalChoice>) => void;
    onremove: () => void;
  } = $props();

  const lanes = useStore(LaneStore);
  const station = useStore(StationStore);

  const KINDS: { id: GoalChoice['kind']; name: string }[] = [
    { id: 'ENTITY', name: 'entity' },
    { id: 'CQ_ZONE', name: 'zone' },
    { id: 'STATE', name: 'state' },
    { id: 'SQUARE', name: 'square' },
    { id: 'PREFIX', name: 'prefix' },
    { id: 'REFERENCE', name: texts.islandSummitOrPark },
    { id: 'BASE_CALL', name: 'station' },
  ];
  const GRANULARITIES: { id: GoalChoice['granularity']; name: string }[] = [
    { id: 'EVER', name: 'once' },
    { id: 'BAND', name: 'on every band' },
    { id: 'MODE', name: 'in every mode' },
    { id: 'BAND_AND_MODE', name: 'on every band in every mode' },
  ];
  const BARS: { id: GoalChoice['bar']; name: string }[] = [
    { id: 'WORKED', name: 'worked' },
    { id: 'CONFIRMED', name: 'confirmed' },
  ];

  const services = $derived([
    ...lanes.all.map((lane) => ({ id: lane.id, name: lane.name })),
    { id: 0, name: 'marks from imported logs' },
  ]);
  const ownCall = $derived(goal.ownCalls?.[0] ?? '');
  // A call that was removed from the station stays with the goal until another is chosen.
  const ownCalls = $derived([
    ...new Set(
      [station.view?.ownCall, ...(station.view?.calls.map((call) => call.callSign) ?? []), ownCall].filter(
        (call) => !!call,
      ),
    ),
  ]);

  const toggled = (id: number) =>
    goal.services.includes(id) ? goal.services.filter((one) => one !== id) : [...goal.services, id];
</script>

<div class="goal">
  <span>{texts.each}</span>
  <select
    aria-label={texts.goalWhatNumber(number)}
    value={goal.kind}
    onchange={(e) => onchange({ kind: e.currentTarget.value as GoalChoice['kind'] })}
  >
    {#each KINDS as kind (kind.id)}<option value={kind.id}>{kind.name}</option>{/each}
  </select>
  <select
    aria-label={texts.goalHowOften(number)}
    value={goal.granularity}
    onchange={(e) => onchange({ granularity: e.currentTarget.value as GoalChoice['granularity'] })}
  >
    {#each GRANULARITIES as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
  </select>
  <select
    aria-label={texts.goalWorkedOrConfirmed(number)}
    value={goal.bar}
    onchange={(e) => onchange({ bar: e.currentTarget.value as GoalChoice['bar'] })}
  >
    {#each BARS as bar (bar.id)}<option value={bar.id}>{bar.name}</option>{/each}
  </select>
  <span class="muted now">{onAirNow === undefined ? '' : texts.onTheAirNow(onAirNow)}</span>
  <button class="more" onclick={onremove}>{texts.remove}</button>
  <div class="which">
    <span class="muted">{texts.with}</span>
    <select
      aria-label={texts.goalWithWhichOfYour(number)}
      value={ownCall}
      onchange={(e) => onchange({ ownCalls: e.currentTarget.value ? [e.currentTarget.value] : [] })}
    >
      <option value="">{texts.anyOfYourCalls}</option>
      {#each ownCalls as call (call)}<option value={call}>{call}</option>{/each}
    </select>
    <span class="muted">{texts.since}</span>
    <input
      type="date"
      aria-label={texts.goalSinceWhichDayEmpty(number)}
      value={goal.since ?? ''}
      onchange={(e) => onchange({ since: e.currentTarget.value || undefined })}
    />
    {#if !goal.since}<span class="muted">{texts.yourFirstContact}</span>{/if}
  </div>
  {#if goal.bar === 'CONFIRMED'}
    <div class="keys which">
      <span class="muted">{texts.by}</span>
      {#each services as one (one.id)}
        <button
          aria-pressed={goal.services.includes(one.id)}
          onclick={() => onchange({ services: toggled(one.id) })}>{one.name}</button
        >
      {/each}
      {#if goal.services.length === 0}<span class="muted">{texts.anybody}</span>{/if}
    </div>
  {/if}
</div>

<style>
  .goal {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
    padding: 8px 0;
    border-top: 1px solid var(--yb-line);
  }

  .now {
    margin-left: auto;
  }

  .which {
    display: flex;
    flex-wrap: wrap;
    flex-basis: 100%;
    align-items: center;
    gap: 8px;
    padding-left: 36px;
  }

  select,
  input {
    padding: 4px 8px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 2px;
    background: var(--yb-ground);
    color: var(--yb-ink);
    font: inherit;
  }
</style>
