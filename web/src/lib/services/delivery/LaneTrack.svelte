<script lang="ts">
  import { grouped } from '../../platform/shared/format';
  import SealGlyph from '../../platform/shared/SealGlyph.svelte';
  import { STATE_NAMES, type LaneState } from './lanes.svelte';

  let { counts }: { counts: Record<string, number> } = $props();

  const way: LaneState[] = ['DUE', 'HANDED_OVER', 'ACCEPTED', 'CONFIRMED'];
  const aside: LaneState[] = ['HELD', 'REFUSED', 'CHANGED', 'NOT_MEANT'];
</script>

<div class="track">
  {#each way as state, i (state)}
    {#if i > 0}<span class="wire" aria-hidden="true"></span>{/if}
    <div class="stage" data-state={state}>
      <span class="mono number">{grouped(counts[state] ?? 0)}</span>
      <span class="word"><SealGlyph {state} size={16} />{STATE_NAMES[state]}</span>
    </div>
  {/each}
  <div class="aside">
    {#each aside as state (state)}
      <div class="small" class:zero={!counts[state]} data-state={state}>
        <SealGlyph {state} />
        <span class="mono">{grouped(counts[state] ?? 0)}</span>
        <span>{STATE_NAMES[state]}</span>
      </div>
    {/each}
  </div>
</div>

<style>
  .track {
    display: flex;
    flex-wrap: wrap;
    row-gap: 12px;
    align-items: center;
    margin: 20px 0 12px;
  }

  .stage {
    display: flex;
    flex-direction: column;
    align-items: center;
    min-width: 104px;
  }

  .number {
    font-size: 28px;
    font-weight: 600;
    line-height: 36px;
  }

  .word {
    display: flex;
    align-items: center;
    gap: 6px;
    color: var(--yb-ink-2);
  }

  .wire {
    flex: 1;
    max-width: 96px;
    border-top: 2px solid var(--yb-line-strong);
  }

  .aside {
    display: grid;
    grid-template-columns: repeat(2, auto);
    gap: 6px 24px;
    margin-left: auto;
    padding-left: 32px;
    border-left: 1px solid var(--yb-line);
  }

  .small {
    display: flex;
    align-items: center;
    gap: 8px;
  }

  .zero {
    color: var(--yb-ink-2);
  }

  @media (max-width: 700px) {
    .wire {
      display: none;
    }

    .aside {
      margin-left: 0;
      padding-left: 0;
      border-left: 0;
    }
  }
</style>
