<script lang="ts">
  import { api, got, Problem, type ClusterMessage, type SolarView } from '../../platform/api/client';
  import { utcDate, utcMinute } from '../../platform/shared/format';

  const WIDTH = 640;
  const HEIGHT = 90;

  let sun = $state.raw<SolarView | undefined>(undefined);
  let messages = $state.raw<ClusterMessage[]>([]);
  let problem = $state('');

  $effect(() => {
    got(api.GET('/api/onair/sun')).then(
      (found) => (sun = found),
      (e: unknown) => (problem = e instanceof Problem ? e.message : 'Yokebar does not answer.'),
    );
    got(api.GET('/api/onair/messages')).then(
      (all) => (messages = all),
      () => (messages = []),
    );
  });

  const last = $derived(sun?.readings.at(-1));
  const NUMBERS = [
    { name: 'flux', label: 'Flux', says: 'solar flux at 10.7 cm' },
    { name: 'aIndex', label: 'A', says: 'of the day' },
    { name: 'kIndex', label: 'K', says: 'of three hours, 0 to 9' },
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
{:else if sun === undefined}<p class="muted">Reading the sun’s numbers…</p>
{:else if !last}
  <p class="muted">
    No feed has sent solar data yet. Cluster nodes do so every few hours; connect one under <a
      href="#/hookups">Hookups</a
    >.
  </p>
{:else}
  <p class="sentence">{sun.sentence}</p>
  <p class="muted">Last told {utcDate(last.at)} {utcMinute(last.at)} UTC.</p>
  {#each NUMBERS as number (number.name)}
    <section class="number" aria-label={number.label}>
      <span class="value mono">{last[number.name] ?? '—'}</span>
      <span><strong>{number.label}</strong><br /><span class="muted">{number.says}</span></span>
      {#if sun.readings.length > 1}
        <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={`${number.label} over the last week`}>
          <polyline points={line(number.name)} />
        </svg>
      {:else}<span class="muted">The history begins with the next report.</span>{/if}
    </section>
  {/each}
{/if}

<section class="messages" aria-label="Messages on the cluster">
  <h2>Messages on the cluster</h2>
  {#if messages.length === 0}
    <p class="muted">No announcement and no talk has come since the start.</p>
  {:else}
    <table class="list">
      <tbody>
        {#each messages.slice(0, 30) as one (one.at + one.from + one.text)}
          <tr>
            <td class="mono">{utcMinute(one.at)}</td>
            <td class="mono">{one.from}</td>
            <td>{one.toUs ? 'to us: ' : ''}{one.text}</td>
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
