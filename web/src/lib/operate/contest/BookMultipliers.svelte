<script lang="ts">
  import {
    api,
    got,
    type ContestBook,
    type ContestMultiplier,
    type ContestScore,
  } from '../../platform/api/client';
  import { counted } from '../../platform/shared/format';
  import { LatestAnswer } from '../../platform/shared/latest-answer.svelte';
  import { texts } from './texts';

  /** @property score whenever it is another one, the multipliers are read again */
  let { book, score }: { book: ContestBook; score: ContestScore } = $props();

  const answer = new LatestAnswer<ContestMultiplier[]>();
  const all = $derived(answer.value);
  const problem = $derived(answer.problem);

  $effect(() => {
    if (score)
      answer.read(() =>
        got(api.GET('/api/contest-books/{id}/multipliers', { params: { path: { id: book.id } } })),
      );
  });
</script>

{#if problem}<p class="trouble" role="alert">{problem}</p>{/if}
{#if !all}
  <p class="muted" hidden={!!problem}>{texts.readingTheMultipliers}</p>
{:else if all.every((one) => one.values.length === 0)}
  <p class="muted">{texts.noMultiplierYet}</p>
{:else}
  <div class="tables">
    {#each all as multiplier (multiplier.name)}
      <table class="list" aria-label={multiplier.name}>
        <thead>
          <tr>
            <th>{multiplier.name}</th>
            {#each book.bands as band (band)}<th class="band">{band}</th>{/each}
          </tr>
        </thead>
        <tbody>
          {#each multiplier.values as { value, bands } (value)}
            <tr>
              <td>{value}</td>
              {#each book.bands as band (band)}
                <td class="band">
                  {#if bands.includes(band)}<span
                      class="worked"
                      role="img"
                      aria-label={texts.workedOn(value, band)}
                    ></span>{/if}
                </td>
              {/each}
            </tr>
          {/each}
        </tbody>
        <tfoot>
          <tr>
            <td class="muted">{counted(multiplier.values.length, 'value')}</td>
            {#each book.bands as band (band)}
              <td class="band mono">{multiplier.values.filter((one) => one.bands.includes(band)).length}</td>
            {/each}
          </tr>
        </tfoot>
      </table>
    {/each}
  </div>
{/if}

<style>
  .tables {
    display: flex;
    flex-wrap: wrap;
    gap: 16px 48px;
    align-items: flex-start;
  }

  .tables table {
    width: auto;
  }

  th::first-letter {
    text-transform: uppercase;
  }

  td {
    height: 24px;
    padding-right: 24px;
  }

  .band {
    width: 56px;
    padding: 0 8px;
    text-align: center;
  }

  .worked {
    display: inline-block;
    width: 10px;
    height: 10px;
    background: var(--yb-accent);
  }
</style>
