<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { GoalChoice } from '../../platform/api/client';
  import SavedMark from '../../platform/shared/SavedMark.svelte';
  import { PositionStore } from '../../station/position/positions.svelte';
  import { OnAirStore } from './on-air.svelte';
  import GoalRow from './GoalRow.svelte';
  import { ChoicesStore } from './choices.svelte';
  import { useStore } from '../../platform/page/stores';

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
    <section aria-label="Goals">
      <h2>I want</h2>
      {#if goals.length === 0}
        <p class="muted">No goal yet, so nothing on the air counts as needed. Add one.</p>
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
        {#if preview}With these goals <strong>{preview.needed}</strong> of {preview.onAir} stations on the air now
          are needed.{/if}
      </p>
      <Button
        kind="tertiary"
        size="small"
        on:click={() =>
          void store.save({
            goals: [...goals, { kind: 'ENTITY', granularity: 'EVER', bar: 'WORKED', services: [] }],
          })}>Add a goal</Button
      >
      <SavedMark saved={store.savedAt > 0} problem={store.problem} />
    </section>
    <section aria-label="Calls">
      <h2>Calls I look out for</h2>
      <p class="muted">They are always listed first. * stands for anything, ? for one character.</p>
      <textarea
        aria-label="Calls I look out for"
        rows="3"
        value={calls.watch}
        onchange={(e) => void store.save({ watch: list(e.currentTarget.value) })}></textarea>
      <h2>Calls I never want to see</h2>
      <textarea
        aria-label="Calls I never want to see"
        rows="3"
        value={calls.ignore}
        onchange={(e) => void store.save({ ignore: list(e.currentTarget.value) })}></textarea>
      <h2>Tuning to a station</h2>
      <label class="check">
        <input
          type="checkbox"
          checked={store.chosen.turnBeam}
          onchange={(e) => void store.save({ turnBeam: e.currentTarget.checked })}
        /> Turn the antenna when tuning to a station
      </label>
      <p>
        <button class="more" onclick={() => void onAirStore.air.unstrike()}>Restore hidden stations</button>
      </p>
    </section>
  </div>
{:else if !store.problem}
  <p class="muted">Reading the goals…</p>
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
