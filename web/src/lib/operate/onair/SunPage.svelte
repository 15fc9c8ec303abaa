<script lang="ts">
  import { api, got, Problem, type ClusterMessage, type SolarView } from '../../platform/api/client';
  import { utcDate, utcMinute } from '../../platform/shared/format';
  import { texts } from './texts';

  const WIDTH = 640;
  const HEIGHT = 90;

  let sun = $state.raw<SolarView | undefined>(undefined);
  let messages = $state.raw<ClusterMessage[]>([]);
  let problem = $state('');

  $effect(() => {
    got(api.GET('/api/onair/sun')).then(
      (found) => (sun = found),
      (e: unknown) => (problem = e instanceof Problem ? e.message : texts.yokebarDoesNotAnswer),
    );
    got(api.GET('/api/onair/messages')).then(
      (all) => (messages = all),
      () => (messages = []),
    );
  });

  const last = $derived(sun?.readings.at(-1));
  const NUMBERS = [
    { name: 'flux', label: texts.flux, says: texts.solarFluxAt107 },
    { name: 'aIndex', label: 'A', says: texts.ofTheDay },
    { name: 'kIndex', label: 'K', says: texts.ofThreeHours0To },
  ] as const;

  function line(name: 'flux' | 'aIndex' | 'kIndex'): string {
    const points = (sun?.readings ?? []).filter((r) => r[name] !== undefined);
    const from = Date.parse(points[0]?.at ?? '');
    const until = Math.max(Date.parse(points.at(-1)?.at ?? ''), from + 1);
    const least = Math.min(...points.map((p) => p[name] ?? 0));
    const most = Math.max(...points.map((p) => p[name] ?? 0), least + 1);
    return points
      .map((p) => {
        const x = ((Date.parse(p.at) - from) / (until - from)) * (WIDTH - 8) + 4;
        const y = HEIGHT - 8 - (((p[name] ?? 0) - least) / (most - least)) * (HEIGHT - 16);
        return `${x.toFixed(1)},${y.toFixed(1)}`;
      })
      .join(' ');
  }
</script>

{#if problem}<p class="trouble" role="alert">{problem}</p>
{:else if sun === undefined}<p class="muted">{texts.readingTheSunsNumbers}</p>
{:else if !last}
  <p class="muted">
    {texts.noFeedHasSentSolar} <a href="#/hookups">{texts.hookups}</a>.
  </p>
{:else}
  <p class="sentence">{sun.sentence}</p>
  <p class="muted">{texts.lastToldUtc(utcDate(last.at), utcMinute(last.at))}</p>
  {#each NUMBERS as number (number.name)}
    <section class="number" aria-label={number.label}>
      <span class="value mono">{last[number.name] ?? '—'}</span>
      <span><strong>{number.label}</strong><br /><span class="muted">{number.says}</span></span>
      {#if sun.readings.length > 1}
        <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={texts.overTheLastWeek(number.label)}>
          <polyline points={line(number.name)} />
        </svg>
      {:else}<span class="muted">{texts.theHistoryBeginsWithThe}</span>{/if}
    </section>
  {/each}
{/if}

<section class="messages" aria-label={texts.messagesOnTheCluster}>
  <h2>{texts.messagesOnTheCluster}</h2>
  {#if messages.length === 0}
    <p class="muted">{texts.noAnnouncementAndNoTalk}</p>
  {:else}
    <table class="list">
      <tbody>
        {#each messages.slice(0, 30) as one (one.at + one.from + one.text)}
          <tr>
            <td class="mono">{utcMinute(one.at)}</td>
            <td class="mono">{one.from}</td>
            <td>{one.toUs ? texts.toUs : ''}{one.text}</td>
            <td class="muted">{one.feed}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
</section>

<style>
  .messages {
    margin-top: 32px;
  }

  .messages td {
    height: 30px;
  }

  .sentence {
    font-size: 16px;
  }

  .number {
    display: grid;
    grid-template-columns: 88px 120px minmax(0, 1fr);
    gap: 16px;
    align-items: center;
    margin-top: 16px;
    border-top: 1px solid var(--yb-line);
    padding-top: 8px;
  }

  .value {
    font-size: 28px;
    text-align: right;
  }

  strong {
    font-weight: 600;
  }

  svg {
    width: 100%;
    max-width: 640px;
  }

  polyline {
    fill: none;
    stroke: var(--yb-accent);
    stroke-width: 2;
  }
</style>
