<script lang="ts">
  import { api, got, Problem, type ContestFinding, type ContestScore } from '../../platform/api/client';
  import { ChangeStore } from '../../log/change/changes.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { useStore } from '../../platform/page/stores';
  import { grouped, utcDate, utcMinute } from '../../platform/shared/format';
  import { LatestQuestion } from '../../platform/shared/latest-question';
  import { texts } from './texts';

  /** @property score whenever it is another one, the book is checked again */
  let { id, score }: { id: number; score: ContestScore } = $props();

  const navigation = useStore(Navigation);
  const changes = useStore(ChangeStore);
  const question = new LatestQuestion();
  let findings = $state.raw<ContestFinding[] | undefined>(undefined);
  let problem = $state('');

  $effect(() => {
    if (score) question.ask(read, (answer) => ({ findings, problem } = answer));
  });

  async function read(): Promise<{ findings: ContestFinding[] | undefined; problem: string }> {
    try {
      const params = { path: { id } };
      return { findings: await got(api.GET('/api/contest-books/{id}/findings', { params })), problem: '' };
    } catch (e) {
      return { findings, problem: e instanceof Problem ? e.message : String(e) };
    }
  }

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

<style>
  td {
    height: 28px;
  }

  .number {
    text-align: right;
  }
</style>
