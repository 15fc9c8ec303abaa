<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { GoalChoice } from '../../platform/api/client';
  import SavedMark from '../../platform/shared/SavedMark.svelte';
  import { PositionStore } from '../../station/position/positions.svelte';
  import { OnAirStore } from './on-air.svelte';
  import GoalRow from './GoalRow.svelte';
  import { ChoicesStore } from './choices.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const positions = useStore(PositionStore);
  const onAirStore = useStore(OnAirStore);
  const choices = useStore(ChoicesStore);

  const store = $derived(choices);
  const goals = $derived(store.chosen?.goals ?? []);
  let preview = $state.raw<{ onAir: number; needed: number; byGoal: number[] } | undefined>(undefined);
  const calls = $derived({
    watch: store.chosen?.watch.join(' ') ?? '',
    ignore: store.chosen?.ignore.join(' ') ?? '',
  });

  $effect(() => void choices.load());
  $effect(() => {
    const asked = goals;
    void store.preview(asked, positions.here?.id).then((found) => {
      if (asked === goals) preview = found;
    });
  });

  const change = (at: number, more: Partial<GoalChoice>) =>
    void store.save({ goals: goals.map((goal, i) => (i === at ? { ...goal, ...more } : goal)) });
  const list = (text: string) => text.split(/[\s,;]+/).filter(Boolean);
</script>

{#if store.problem && !store.chosen}<p class="trouble" role="alert">{store.problem}</p>{/if}
{#if store.chosen}
  <div class="goals">
    <section aria-label={texts.goals}>
      <h2>{texts.iWant}</h2>
      {#if goals.length === 0}
        <p class="muted">{texts.noGoalYetSoNothing}</p>
      {/if}
      {#each goals as goal, i (i)}
        <GoalRow
          {goal}
          number={i + 1}
          onAirNow={preview?.byGoal[i]}
          onchange={(more) => change(i, more)}
          onremove={() => void store.save({ goals: goals.filter((_, at) => at !== i) })}
        />
      {/each}
      <p class="sum">
        {#if preview}{texts.withTheseGoals} <strong>{preview.needed}</strong>
          {texts.ofStationsOnTheAir(preview.onAir)}{/if}
      </p>
      <Button
        kind="tertiary"
        size="small"
        on:click={() =>
          void store.save({
            goals: [...goals, { kind: 'ENTITY', granularity: 'EVER', bar: 'WORKED', services: [] }],
          })}>{texts.addAGoal}</Button
      >
      <SavedMark saved={store.savedAt > 0} problem={store.problem} />
    </section>
    <section aria-label={texts.calls}>
      <h2>{texts.callsILookOutFor}</h2>
      <p class="muted">{texts.theyAreAlwaysListedFirst}</p>
      <textarea
        aria-label={texts.callsILookOutFor}
        rows="3"
        value={calls.watch}
        onchange={(e) => void store.save({ watch: list(e.currentTarget.value) })}></textarea>
      <h2>{texts.callsINeverWantTo}</h2>
      <textarea
        aria-label={texts.callsINeverWantTo}
        rows="3"
        value={calls.ignore}
        onchange={(e) => void store.save({ ignore: list(e.currentTarget.value) })}></textarea>
      <h2>{texts.tuningToAStation}</h2>
      <label class="check">
        <input
          type="checkbox"
          checked={store.chosen.turnBeam}
          onchange={(e) => void store.save({ turnBeam: e.currentTarget.checked })}
        />
        {texts.turnTheAntennaWhenTuning}
      </label>
      <p>
        <button class="more" onclick={() => void onAirStore.air.unstrike()}
          >{texts.restoreHiddenStations}</button
        >
      </p>
    </section>
  </div>
{:else if !store.problem}
  <p class="muted">{texts.readingTheGoals}</p>
{/if}

<style>
  .goals {
    display: grid;
    grid-template-columns: minmax(0, 2fr) minmax(260px, 1fr);
    gap: 48px;
    align-items: start;
  }

  .sum {
    margin: 12px 0;
    min-height: 20px;
  }

  strong {
    font-weight: 600;
  }

  textarea {
    padding: 4px 8px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 2px;
    background: var(--yb-ground);
    color: var(--yb-ink);
    font: inherit;
  }

  textarea {
    width: 100%;
    font-family: var(--yb-mono);
  }

  .check {
    display: flex;
    gap: 8px;
    align-items: center;
  }

  @container (max-width: 900px) {
    .goals {
      grid-template-columns: 1fr;
    }
  }
</style>
