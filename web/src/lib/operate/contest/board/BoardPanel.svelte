<script lang="ts">
  import { Select, SelectItem } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import { api, got, type BoardLine } from '../../../platform/api/client';
  import { useStore } from '../../../platform/page/stores';
  import { grouped, utcMinute } from '../../../platform/shared/format';
  import { LatestAnswer } from '../../../platform/shared/latest-answer.svelte';
  import { BoardStore } from './board.svelte';
  import BoardByHand from './BoardByHand.svelte';
  import BoardGraph from './BoardGraph.svelte';
  import BoardSetup from './BoardSetup.svelte';
  import { choices, passing, type BoardFilter } from './filter';
  import { texts } from './texts';

  interface Props {
    bookId: number;
    /** As in the Cabrillo log. */
    contest: string;
    ownCall: string;
    /** The present one; whenever it is another one, the scoreboard is read again. */
    score: number;
  }

  let { bookId, contest, ownCall, score }: Props = $props();

  const store = useStore(BoardStore);
  const answer = new LatestAnswer<BoardLine[]>();
  const READ_EVERY_MS = 60_000;

  let asked = $state<'' | 'set up' | 'by hand'>('');
  let filter = $state<BoardFilter>({ category: '', club: '', continent: '' });
  let compared = $state('');
  let mark = $state(0);

  function read() {
    mark++;
    void store.load(bookId);
    if (store.complete) {
      answer.read(() => got(api.GET('/api/scoreboard/scores', { params: { query: { contest } } })));
    }
  }

  // Only when it becomes so, and not whenever the settings are read again.
  const complete = $derived(store.complete);
  $effect(() => {
    if (complete || score >= 0) untrack(read);
  });

  $effect(() => {
    const timer = setInterval(read, READ_EVERY_MS);
    return () => clearInterval(timer);
  });

  const lines = $derived(answer.value ?? []);
  /** The own place among all, from 1; 0 when not on it. */
  const own = $derived(lines.findIndex((line) => line.call === ownCall) + 1);
  const shown = $derived(passing(lines, filter));
  const sum = (multipliers: Record<string, number>) =>
    Object.values(multipliers).reduce((all, one) => all + one, 0);

  const FILTERS: { key: keyof BoardFilter; label: string; of: (line: BoardLine) => string[] }[] = [
    { key: 'category', label: texts.category, of: (line) => Object.values(line.category) },
    { key: 'club', label: texts.club, of: (line) => [line.club] },
    { key: 'continent', label: texts.continent, of: (line) => [line.continent] },
  ];
</script>

{#each [store.problem, store.failure].filter((one) => one) as sentence, i (i)}
  <p class="trouble" role="alert">{sentence}</p>
{/each}
<p class="state">
  {#if store.view && !store.complete}<span class="muted">{texts.notSetUp}</span>
  {:else if store.lastPost?.postedAt}
    <span>{texts.posted(grouped(store.lastPost.score ?? 0), utcMinute(store.lastPost.postedAt))}</span>
    {#if own > 0}<span>{texts.placeOf(own, lines.length)}</span>{/if}
    {#if store.lastPost.nextAt}
      <span class="muted">{texts.nextAt(utcMinute(store.lastPost.nextAt))}</span>
    {/if}
  {:else if store.lastPost}<span class="muted">{texts.notPostedYet}</span>{/if}
  {#if store.complete}<button class="more" onclick={read}>{texts.readAgain}</button>{/if}
  {#each [{ name: 'set up', text: texts.setUp }, { name: 'by hand', text: texts.byHand }] as const as { name, text } (name)}
    <button class="more" onclick={() => (asked = asked === name ? '' : name)}
      >{asked === name ? texts.close : text}</button
    >
  {/each}
</p>
{#if asked === 'set up'}<BoardSetup />{:else if asked === 'by hand'}<BoardByHand {ownCall} />{/if}

{#if store.complete}
  {#if answer.problem}<p class="trouble" role="alert">{answer.problem}</p>
  {:else if !answer.value}<p class="muted">{texts.readingTheScores}</p>
  {:else if lines.length === 0}<p class="muted" role="status">{texts.noScoresYet}</p>
  {:else}
    {#if compared}<BoardGraph {bookId} {contest} {ownCall} call={compared} {mark} />{/if}
    <div class="filter">
      {#each FILTERS as { key, label, of } (key)}
        <Select
          size="sm"
          labelText={label}
          selected={filter[key]}
          on:update={(event) => (filter = { ...filter, [key]: String(event.detail) })}
        >
          <SelectItem value="" text={texts.all} />
          {#each choices(lines, of) as choice (choice)}<SelectItem value={choice} text={choice} />{/each}
        </Select>
      {/each}
    </div>
    {#if shown.length === 0}<p class="muted" role="status">{texts.noneOfThese}</p>
    {:else}
      <table class="list" aria-label={texts.onTheScoreboard}>
        <thead>
          <tr>
            <th class="number">{texts.place}</th>
            <th>{texts.call}</th>
            <th class="number">{texts.score}</th>
            <th class="number">{texts.contacts}</th>
            <th class="number">{texts.multipliers}</th>
            <th>{texts.category}</th>
            <th>{texts.club}</th>
            <th>{texts.updated}</th>
          </tr>
        </thead>
        <tbody>
          {#each shown as { place, line } (line.call)}
            <tr class:own={line.call === ownCall}>
              <td class="number mono">{place}</td>
              <td class="mono">
                {#if line.call === ownCall}{line.call}
                {:else}<button
                    class="more mono"
                    aria-label={texts.compare(line.call)}
                    aria-pressed={compared === line.call}
                    onclick={() => (compared = compared === line.call ? '' : line.call)}>{line.call}</button
                  >{/if}
              </td>
              <td class="number mono">{grouped(line.score)}</td>
              <td class="number mono">{grouped(line.contacts)}</td>
              <td class="number mono">{grouped(sum(line.multipliers))}</td>
              <td>{Object.values(line.category).join(' · ')}</td>
              <td>{line.club}</td>
              <td class="mono muted">{utcMinute(line.at)}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
  {/if}
{/if}

<style>
  .state {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 16px;
    margin-bottom: 8px;
  }

  .filter {
    display: grid;
    grid-template-columns: repeat(3, minmax(160px, 240px));
    gap: 8px 24px;
    margin-bottom: 12px;
  }

  .number {
    text-align: right;
  }

  .own td {
    color: var(--yb-accent);
  }
</style>
