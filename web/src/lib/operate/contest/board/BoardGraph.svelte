<script lang="ts">
  import { api, got, type BoardStep } from '../../../platform/api/client';
  import { clock } from '../../../platform/shared/clock.svelte';
  import { grouped, utcMinute } from '../../../platform/shared/format';
  import { LatestAnswer } from '../../../platform/shared/latest-answer.svelte';
  import { ownCourse } from './own-course';
  import { texts } from './texts';

  interface Props {
    bookId: number;
    /** As in the Cabrillo log. */
    contest: string;
    ownCall: string;
    /** The one to compare with. */
    call: string;
    /** Whenever it is another one, the courses are read again. */
    mark: number;
  }

  let { bookId, contest, ownCall, call, mark }: Props = $props();

  const WIDTH = 520;
  const HEIGHT = 84;

  const calls = $derived([ownCall, call]);
  const answer = new LatestAnswer<BoardStep[][]>();

  $effect(() => {
    if (mark < 0) return;
    const query = { contest, call };
    answer.read(async () => {
      const [pace, other] = await Promise.all([
        got(api.GET('/api/contest-books/{id}/pace', { params: { path: { id: bookId } } })),
        got(api.GET('/api/scoreboard/course', { params: { query } })),
      ]);
      return [ownCourse(pace.hours, clock.now), other];
    });
  });

  const steps = $derived((answer.value ?? []).flat());
  const top = $derived(Math.max(1, ...steps.map((step) => step.score)));
  const from = $derived(Math.min(...steps.map((step) => Date.parse(step.at))));
  const until = $derived(Math.max(...steps.map((step) => Date.parse(step.at))));
  const x = (at: string) => ((Date.parse(at) - from) / Math.max(1, until - from)) * WIDTH;
  const line = (course: BoardStep[]) =>
    course
      .map(({ at, score }) => `${x(at).toFixed(1)},${(HEIGHT - (score / top) * HEIGHT).toFixed(1)}`)
      .join(' ');
</script>

{#if answer.problem}<p class="trouble" role="alert">{answer.problem}</p>
{:else if !answer.value}<p class="muted">{texts.readingTheCourse}</p>
{:else if steps.length < 2}<p class="muted">{texts.noCourseYet}</p>
{:else}
  <figure>
    <span class="muted mono">{grouped(top)}</span>
    <svg
      viewBox={`0 -2 ${WIDTH} ${HEIGHT + 4}`}
      role="img"
      aria-label={texts.scoresOverTime(calls.join(', '))}
    >
      <path class="frame" d={`M0 0V${HEIGHT}H${WIDTH}`} />
      {#each answer.value as course, index (index)}
        <polyline class:own={index === 0} points={line(course)} />
      {/each}
    </svg>
    <figcaption>
      <span class="mono">{utcMinute(new Date(from).toISOString())}</span>
      {#each calls as call, index (call)}
        <span class="mono"><span class="key" class:own={index === 0}></span> {call}</span>
      {/each}
      <span class="mono">{utcMinute(new Date(until).toISOString())}</span>
    </figcaption>
  </figure>
{/if}

<style>
  figure {
    max-width: 560px;
    margin: 0 0 12px;
  }

  svg {
    width: 100%;
  }

  polyline,
  path {
    fill: none;
    stroke: var(--yb-ink-2);
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

  figcaption {
    display: flex;
    justify-content: space-between;
    gap: 8px;
  }

  .key {
    display: inline-block;
    width: 20px;
    border-top: 2px solid var(--yb-ink-2);
    vertical-align: middle;
  }

  .key.own {
    border-color: var(--yb-accent);
  }
</style>
