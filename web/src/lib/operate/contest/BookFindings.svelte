<script lang="ts">
  import {
    api,
    got,
    type ContestFinding,
    type ContestScore,
    type SerialGap,
  } from '../../platform/api/client';
  import { ChangeStore } from '../../log/change/changes.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { useStore } from '../../platform/page/stores';
  import { grouped, utcDate, utcMinute } from '../../platform/shared/format';
  import { LatestAnswer } from '../../platform/shared/latest-answer.svelte';
  import { texts } from './texts';

  /** @property score whenever it is another one, the book is checked again */
  let { id, score }: { id: number; score: ContestScore } = $props();

  const navigation = useStore(Navigation);
  const changes = useStore(ChangeStore);
  const answer = new LatestAnswer<ContestFinding[]>();
  const findings = $derived(answer.value);
  const problem = $derived(answer.problem);
  const gaps = new LatestAnswer<SerialGap[]>();

  $effect(() => {
    if (!score) return;
    const params = { path: { id } };
    answer.read(() => got(api.GET('/api/contest-books/{id}/findings', { params })));
    gaps.read(() => got(api.GET('/api/contest-books/{id}/serial-gaps', { params })));
  });

  const gapWords = ({ serial, call, sentAt }: SerialGap) =>
    call && sentAt ? texts.sentAndNotLogged(serial, call, utcMinute(sentAt)) : String(serial);

  function correct({ contactId, likelyCall }: ContestFinding): Promise<void> {
    const body = { selection: { ids: [contactId] }, changes: { CALL: likelyCall ?? '' } };
    return changes.begin(got(api.POST('/api/changes/edit', { body })));
  }
</script>

{#if problem}<p class="trouble" role="alert">{problem}</p>{/if}
{#if !findings}
  <p class="muted" hidden={!!problem}>{texts.checkingTheLog}</p>
{:else if findings.length === 0}
  <p class="muted" role="status">{texts.nothingOdd}</p>
{:else}
  <table class="list" aria-label={texts.likelyMistakes}>
    <thead>
      <tr>
        <th>{texts.time}</th>
        <th>{texts.call}</th>
        <th>{texts.band}</th>
        <th>{texts.whatIsOdd}</th>
        <th class="number">{texts.atStake}</th>
        <th></th>
      </tr>
    </thead>
    <tbody>
      {#each findings as one (`${one.contactId} ${one.sentence}`)}
        <tr>
          <td class="mono">{utcMinute(one.start)} <span class="muted">{utcDate(one.start)}</span></td>
          <td>
            <button class="more mono" onclick={() => navigation.showContact(one.contactId)}>{one.call}</button
            >
          </td>
          <td>{one.band}</td>
          <td>{one.sentence}</td>
          <td class="number mono">{grouped(one.atStake)}</td>
          <td>
            {#if one.likelyCall}
              <button class="more" onclick={() => void correct(one)}>{texts.changeTo(one.likelyCall)}</button>
            {/if}
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
{/if}
{#if gaps.value && gaps.value.length > 0}
  <p class="muted gaps">{texts.serialsMissing} {gaps.value.map(gapWords).join('; ')}.</p>
{/if}

<style>
  .gaps {
    margin-top: 12px;
  }

  td {
    height: 28px;
  }

  .number {
    text-align: right;
  }
</style>
