<script lang="ts">
  import { api, got, type ContestBook, type ContestPace, type ContestScore } from '../../platform/api/client';
  import { useStore } from '../../platform/page/stores';
  import SavingInput from '../../platform/shared/SavingInput.svelte';
  import { clock } from '../../platform/shared/clock.svelte';
  import { grouped, utcDate, utcMinute } from '../../platform/shared/format';
  import { LatestAnswer } from '../../platform/shared/latest-answer.svelte';
  import { BookStore } from './books.svelte';
  import { hoursAndMinutes } from './progress';
  import ScoreGraph from './ScoreGraph.svelte';
  import { texts } from './texts';

  /** @property score whenever it is another one, rates and hours are read again */
  let { book, score }: { book: ContestBook; score: ContestScore } = $props();

  const books = useStore(BookStore);
  const answer = new LatestAnswer<ContestPace>();
  const pace = $derived(answer.value);
  const problem = $derived(answer.problem);

  /** Rates fall as time passes, also without a contact. */
  const minute = $derived(Math.floor(clock.now / 60_000));
  $effect(() => {
    if (score && minute)
      answer.read(() => got(api.GET('/api/contest-books/{id}/pace', { params: { path: { id: book.id } } })));
  });

  const key = $derived(`book-${book.id}`);
  const runs = $derived(clock.now < Date.parse(book.until));
  const rates = $derived(
    pace && runs
      ? [
          { says: texts.last10Minutes, rate: pace.last10Minutes },
          { says: texts.last60Minutes, rate: pace.last60Minutes },
          { says: texts.last10Contacts, rate: pace.last10Contacts },
          { says: texts.last100Contacts, rate: pace.last100Contacts },
        ]
      : [],
  );
  const spent = $derived(
    pace
      ? [
          { says: texts.running, minutes: pace.runMinutes },
          { says: texts.searching, minutes: pace.searchMinutes },
          ...(pace.unknownMinutes > 0 ? [{ says: texts.notKnown, minutes: pace.unknownMinutes }] : []),
          { says: texts.off, minutes: pace.offMinutes },
        ]
      : [],
  );
  const hours = $derived([...(pace?.hours ?? [])].reverse());
  const percent = $derived(book.goal > 0 ? Math.floor((100 * score.score) / book.goal) : 0);

  /** What is no number is refused like a number that is out of range. */
  const saveGoal = (text: string) => {
    const digits = text.replace(/[\s.,]/g, '');
    return books.correct(book.id, { goal: /^\d{0,15}$/.test(digits) ? Number(digits) : -1 });
  };
</script>

{#if problem}<p class="trouble" role="alert">{problem}</p>{/if}
{#if !pace}
  <p class="muted" hidden={!!problem}>{texts.readingTheProgress}</p>
{:else}
  <div class="progress">
    <dl aria-label={texts.rates}>
      {#each rates as { says, rate } (says)}
        <dt>{says}</dt>
        <dd class="mono">{rate === undefined ? '—' : texts.anHour(rate)}</dd>
      {/each}
      <dt>{texts.operatingTime}</dt>
      <dd class="mono">{hoursAndMinutes(pace.operatingMinutes)}</dd>
      {#each spent as { says, minutes } (says)}
        <dt class="muted part">{says}</dt>
        <dd class="mono">{hoursAndMinutes(minutes)}</dd>
      {/each}
      {#if pace.leftMinutes !== undefined}
        <dt>{texts.timeLeft}</dt>
        <dd class="mono">{hoursAndMinutes(pace.leftMinutes)}</dd>
      {/if}
      <dd class="muted note">{texts.breaksFrom(pace.breakMinutes)}</dd>
      <dt>{texts.goal}</dt>
      <dd>
        <SavingInput
          label={texts.goal}
          hideLabel
          mono
          placeholder={texts.noGoal}
          value={book.goal > 0 ? grouped(book.goal) : ''}
          saved={books.saving.saved(key)}
          fault={books.saving.fault(key, 'goal')}
          onsave={saveGoal}
        />
      </dd>
      {#if book.goal > 0}
        <dt>{texts.reached}</dt>
        <dd class="mono">{percent} %</dd>
      {/if}
    </dl>
    <ScoreGraph
      from={book.from}
      until={book.until}
      hours={pace.hours}
      earlier={pace.earlier}
      goal={book.goal}
      now={minute * 60_000}
    />
    {#if hours.length > 0}
      <table class="list" aria-label={texts.byHour}>
        <thead>
          <tr>
            <th>{texts.hour}</th>
            <th class="number">{texts.contacts}</th>
            <th class="number">{texts.points}</th>
            <th class="number">{texts.newMultipliers}</th>
            <th class="number">{texts.score}</th>
          </tr>
        </thead>
        <tbody>
          {#each hours as hour (hour.from)}
            <tr>
              <td class="mono">{utcMinute(hour.from)} <span class="muted">{utcDate(hour.from)}</span></td>
              <td class="number mono">{grouped(hour.contacts)}</td>
              <td class="number mono">{grouped(hour.points)}</td>
              <td class="number mono">{grouped(hour.multipliers)}</td>
              <td class="number mono">{grouped(hour.score)}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
  </div>
{/if}

<style>
  .progress {
    display: grid;
    grid-template-columns: 270px minmax(300px, 640px);
    gap: 16px 48px;
    align-items: start;
  }

  .progress > table {
    grid-column: 1 / -1;
  }

  dl {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 4px 16px;
    align-items: center;
  }

  dd {
    text-align: right;
  }

  .part {
    padding-left: 16px;
  }

  .note {
    text-align: left;
    grid-column: 1 / -1;
  }

  dd :global(input) {
    width: 116px;
    text-align: right;
  }

  td {
    height: 26px;
  }

  .number {
    text-align: right;
  }

  @container (max-width: 800px) {
    .progress {
      grid-template-columns: 1fr;
    }
  }
</style>
