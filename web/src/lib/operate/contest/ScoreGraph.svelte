<script lang="ts">
  import type { ContestHour } from '../../platform/api/client';
  import { grouped, utcDate, utcMinute } from '../../platform/shared/format';
  import { scorePoints } from './progress';
  import { texts } from './texts';

  interface Props {
    /** Of the contest, UTC. */
    from: string;
    until: string;
    hours: ContestHour[];
    earlier: ContestHour[];
    /** 0 for none. */
    goal: number;
    /** ms since 1970. */
    now: number;
  }

  let { from, until, hours, earlier, goal, now }: Props = $props();

  const WIDTH = 520;
  const HEIGHT = 150;

  const top = $derived(Math.max(goal, 1, ...hours.map((h) => h.score), ...earlier.map((h) => h.score)));
  const line = (points: { part: number; score: number }[]) =>
    points
      .map(
        ({ part, score }) => `${(part * WIDTH).toFixed(1)},${(HEIGHT - (score / top) * HEIGHT).toFixed(1)}`,
      )
      .join(' ');
</script>

<figure>
  <span class="muted mono">{grouped(top)}</span>
  <svg
    viewBox={`0 -2 ${WIDTH} ${HEIGHT + 4}`}
    role="img"
    aria-label={texts.scoreOverTime(utcDate(from), utcDate(until))}
  >
    <path class="frame" d={`M0 0V${HEIGHT}H${WIDTH}`} />
    {#if goal > 0}<polyline
        class="goal"
        points={`0,${HEIGHT} ${WIDTH},${HEIGHT - (goal / top) * HEIGHT}`}
      />{/if}
    {#if earlier.length > 0}<polyline
        class="earlier"
        points={line(scorePoints(earlier, from, until, Infinity))}
      />{/if}
    <polyline class="own" points={line(scorePoints(hours, from, until, now))} />
  </svg>
  <figcaption>
    <span class="mono">{utcMinute(from)}</span>
    <span class="keys">
      <span><span class="key own"></span>{texts.thisContest}</span>
      {#if earlier.length > 0}<span><span class="key earlier"></span>{texts.earlierYear}</span>{/if}
      {#if goal > 0}<span><span class="key goal"></span>{texts.wayToTheGoal}</span>{/if}
    </span>
    <span class="mono">{utcMinute(until)}</span>
  </figcaption>
</figure>

<style>
  figure {
    max-width: 640px;
  }

  svg {
    width: 100%;
  }

  polyline,
  path {
    fill: none;
    stroke-width: 2;
    vector-effect: non-scaling-stroke;
  }

  .frame {
    stroke: var(--yb-line-strong);
    stroke-width: 1;
  }

  polyline.own {
    stroke: var(--yb-accent);
  }

  polyline.earlier {
    stroke: var(--yb-ink-2);
  }

  polyline.goal {
    stroke: var(--yb-ink-2);
    stroke-dasharray: 2 6;
  }

  figcaption,
  .keys,
  .keys > span {
    display: flex;
    align-items: center;
    gap: 8px;
  }

  figcaption {
    justify-content: space-between;
  }

  .keys {
    gap: 24px;
  }

  .key {
    width: 20px;
    border-top: 2px solid var(--yb-ink-2);
  }

  .key.own {
    border-color: var(--yb-accent);
  }

  .key.goal {
    border-top-style: dotted;
  }
</style>
