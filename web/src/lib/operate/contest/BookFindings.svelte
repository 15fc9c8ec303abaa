<script lang="ts">
  import {
    api,
    got,
    type ContestFinding,
    type ContestScore,
    type SerialGap,
  } from '../../platform/api/client';
  import { utcMinute } from '../../platform/shared/format';
  import { LatestAnswer } from '../../platform/shared/latest-answer.svelte';
  import FindingsTable from './finding/FindingsTable.svelte';
  import { texts } from './texts';

  /** @property score whenever it is another one, the book is checked again */
  let { id, score }: { id: number; score: ContestScore } = $props();

  const answer = new LatestAnswer<ContestFinding[]>();
  const problem = $derived(answer.problem);
  const findings = $derived(
    answer.value?.map((one) => ({ ...one, points: one.atStake, rightCall: one.likelyCall })),
  );
  const gaps = new LatestAnswer<SerialGap[]>();

  $effect(() => {
    if (!score) return;
    const params = { path: { id } };
    answer.read(() => got(api.GET('/api/contest-books/{id}/findings', { params })));
    gaps.read(() => got(api.GET('/api/contest-books/{id}/serial-gaps', { params })));
  });

  const gapWords = ({ serial, call, sentAt }: SerialGap) =>
    call && sentAt ? texts.sentAndNotLogged(serial, call, utcMinute(sentAt)) : String(serial);
</script>

{#if problem}<p class="trouble" role="alert">{problem}</p>{/if}
{#if !findings}
  <p class="muted" hidden={!!problem}>{texts.checkingTheLog}</p>
{:else if findings.length === 0}
  <p class="muted" role="status">{texts.nothingOdd}</p>
{:else}
  <FindingsTable label={texts.likelyMistakes} {findings} what={texts.whatIsOdd} points={texts.atStake} />
{/if}
{#if gaps.value && gaps.value.length > 0}
  <p class="muted gaps">{texts.serialsMissing} {gaps.value.map(gapWords).join('; ')}.</p>
{/if}

<style>
  .gaps {
    margin-top: 12px;
  }
</style>
