<script lang="ts">
  import type { ContestScore } from '../../platform/api/client';
  import { counted, grouped } from '../../platform/shared/format';
  import { texts } from './texts';

  let { score }: { score: ContestScore } = $props();

  const names = $derived(Object.keys(score.multipliers));
  const parts = $derived([
    counted(score.points, 'point'),
    ...names.map((name) => texts.multiplier(grouped(score.multipliers[name] ?? 0), name)),
    ...(score.bonus > 0 ? [texts.bonus(grouped(score.bonus))] : []),
  ]);
</script>

<div class="board">
  <div class="total" role="status" aria-label={texts.score}>
    <span class="muted">{texts.score}</span>
    <strong class="mono">{grouped(score.score)}</strong>
    <span>{parts.join(' · ')}</span>
    {#if score.others > 0}
      <span class="muted">{texts.notCounted(counted(score.others, 'contact'))}</span>
    {/if}
  </div>
  {#if score.byBand.length > 0}
    <table class="list" aria-label={texts.byBand}>
      <thead>
        <tr>
          <th>{texts.band}</th>
          <th class="number">{texts.contacts}</th>
          <th class="number">{texts.dupes}</th>
          <th class="number">{texts.points}</th>
          {#each names as name (name)}<th class="number">{name}</th>{/each}
        </tr>
      </thead>
      <tbody>
        {#each score.byBand as band (band.band)}
          <tr>
            <td>{band.band}</td>
            <td class="number mono">{grouped(band.contacts)}</td>
            <td class="number mono">{grouped(band.dupes)}</td>
            <td class="number mono">{grouped(band.points)}</td>
            {#each names as name (name)}
              <td class="number mono">{grouped(band.multipliers[name] ?? 0)}</td>
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
</div>

<style>
  .board {
    display: grid;
    grid-template-columns: minmax(220px, 1fr) minmax(0, 2fr);
    gap: 8px 48px;
    align-items: start;
  }

  .total {
    display: flex;
    flex-direction: column;
  }

  strong {
    font-size: 40px;
    font-weight: 400;
    line-height: 48px;
  }

  td {
    height: 26px;
  }

  th {
    text-transform: capitalize;
  }

  .number {
    text-align: right;
  }

  @media (max-width: 800px) {
    .board {
      grid-template-columns: 1fr;
    }
  }
</style>
