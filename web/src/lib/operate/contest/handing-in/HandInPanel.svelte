<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import type { ContestScore, HandIn } from '../../../platform/api/client';
  import { useStore } from '../../../platform/page/stores';
  import { clock } from '../../../platform/shared/clock.svelte';
  import { grouped, utcDate, utcMinute } from '../../../platform/shared/format';
  import AccountFields from '../account/AccountFields.svelte';
  import FindingsTable from '../finding/FindingsTable.svelte';
  import { HandInStore } from './hand-in.svelte';
  import { texts } from './texts';

  interface Props {
    bookId: number;
    /** When the contest is over, ISO, UTC. */
    until: string;
    /** Whenever it is another one, the state is read again. */
    score: ContestScore;
  }

  let { bookId, until, score }: Props = $props();

  const store = useStore(HandInStore);
  const log = $derived(store.log);
  let settingUp = $state(false);
  /** What is being waited for. */
  let waitingFor = $state('');

  $effect(() => {
    if (score) untrack(() => void store.load(bookId));
  });

  const moment = (at: string) => `${utcDate(at)} ${utcMinute(at)}`;
  const points = (of: HandIn['findings']) => of.map((one) => ({ ...one, points: one.pointsLost }));

  function during(words: string, what: Promise<void>) {
    waitingFor = words;
    void what.finally(() => (waitingFor = ''));
  }
</script>

{#each [store.problem, store.failure].filter((one) => one) as sentence, i (i)}
  <p class="trouble" role="alert">{sentence}</p>
{/each}
{#if !log || !store.view}
  <p class="muted" hidden={!!store.problem}>{texts.readingTheState}</p>
{:else}
  {#if log.refusal && log.refusedAt}
    <p class="trouble" role="alert">
      {texts.refused(moment(log.refusedAt), log.refusal)}
      {#if log.refusedLines.length > 0}{texts.correctAndHandInAgain}{/if}
      {#if log.takenAt}{texts.theOneBeforeCounts}{/if}
    </p>
  {/if}
  <p class="state">
    {#if log.takenAt}
      <span>{texts.handedIn(moment(log.takenAt), log.receipt ?? '', grouped(log.claimed))}</span>
      {#if log.checkedScore !== undefined}
        <strong>{texts.checked(grouped(log.checkedScore), grouped(log.claimed))}</strong>
      {:else if log.words}<span>{log.words}</span>{/if}
      {#if log.changedSince}<span class="changed">{texts.bookChanged}</span>{/if}
      {#if log.askAt}<span class="muted">{texts.askedForAt(moment(log.askAt))}</span>{/if}
    {:else if store.complete}<span class="muted">{texts.notHandedIn}</span>
    {:else}<span class="muted">{texts.notSetUp}</span>{/if}
    {#if store.complete && Date.parse(until) > clock.now}<span class="muted">{texts.stillRuns}</span>{/if}
  </p>
  <div class="act">
    {#if store.complete}
      <Button
        size="small"
        kind={log.takenAt && !log.changedSince ? 'tertiary' : 'primary'}
        disabled={store.busy}
        on:click={() => during(texts.handingIn, store.handIn(bookId))}
        >{log.takenAt ? texts.handInAgain : texts.handIn}</Button
      >
      {#if log.takenAt && log.checkedScore === undefined}
        <Button
          size="small"
          kind="ghost"
          disabled={store.busy}
          on:click={() => during(texts.asking, store.ask(bookId))}>{texts.askForTheReport}</Button
        >
      {/if}
    {/if}
    {#if log.takenAt}
      <a href={`/api/contest-books/${bookId}/hand-in/log`} download>{texts.theLogAsHandedIn}</a>
    {/if}
    <button class="more" onclick={() => (settingUp = !settingUp)}
      >{settingUp ? texts.close : texts.setUp}</button
    >
    {#if waitingFor}<span class="muted" role="status">{waitingFor}</span>{/if}
  </div>
  {#if settingUp}
    <AccountFields
      {store}
      label={texts.theAdjudicator}
      name={texts.thisAdjudicator}
      hint={texts.onlyWhenYouHandIn}
    />
  {/if}
  {#if log.refusedLines.length > 0}
    <FindingsTable label={texts.refusedLines} findings={points(log.refusedLines)} what={texts.whatIsWrong} />
  {/if}
  {#if log.findings.length > 0}
    <FindingsTable
      label={texts.whatTheCheckFound}
      findings={points(log.findings)}
      what={texts.whatTheCheckFound}
      points={texts.pointsLost}
    />
    {#if log.moreFindings > 0}<p class="muted">{texts.more(grouped(log.moreFindings))}</p>{/if}
  {:else if log.checkedScore !== undefined}
    <p class="muted" role="status">{texts.nothingFound}</p>
  {/if}
{/if}

<style>
  .state,
  .act {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 16px;
    margin-bottom: 8px;
  }

  .changed {
    color: var(--yb-accent);
  }
</style>
