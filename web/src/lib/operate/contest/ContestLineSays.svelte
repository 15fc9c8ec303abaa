<script lang="ts">
  import type { ContestLineView } from '../../platform/api/client';
  import { counted, utcMinute, utcMoment } from '../../platform/shared/format';
  import type { OpenBookStore } from './book.svelte';
  import { texts } from './texts';
  import { shortWorth, worthWords } from './worth/worth';

  /** What the contest line means, and what Enter does. */
  let { store }: { store: OpenBookStore } = $props();

  const view = $derived(store.view);
  const correcting = $derived(store.correction.contact);
  const problems = $derived(store.problem ? [store.problem] : correcting ? [] : (view?.problems ?? []));

  const guesses = (view: ContestLineView) =>
    view.missing.map((name) => `${name} ${view.guessed[name] ?? ''}`).join(', ');

  /** What Enter does; or what has to be typed before it does anything. */
  function says(view: ContestLineView): string {
    const next = store.next;
    if (store.takesGuess) return texts.enterTakes(guesses(view));
    if (next?.slot) return next.logs ? texts.enterSendsAndLogs(next.text) : texts.enterSends(next.text);
    if (view.missing.length > 0) return texts.stillMissing(view.missing.join(', '));
    return view.at ? texts.enterLogsAt(utcMoment(view.at)) : texts.enterLogs;
  }
</script>

<p id="contest-line-says" role="status">
  {#if store.lines.waiting.length > 0 && store.problem}
    <span class="trouble">{texts.willBeSent(store.problem, counted(store.lines.waiting.length, 'line'))}</span
    >
  {:else}
    {#if problems.length > 0}<span class="trouble">{problems.join(' ')}</span>{/if}
    {#if correcting}
      <strong>{texts.correcting(correcting.call, utcMinute(correcting.start), correcting.band)}</strong>
      <span class="muted">{texts.enterSaves}</span>
    {:else if problems.length > 0}
      <!-- Nothing but what is wrong. -->
    {:else if store.text === ''}
      <span class="muted">{store.notice}</span>
      {#if store.next}
        <span class="muted">{store.next.slot ? texts.enterSends(store.next.text) : texts.typeTheCall}</span>
      {/if}
    {:else if store.tunes}
      <span class="muted">{texts.enterTunes}</span>
    {:else if store.isFrequency}
      <span class="muted">{texts.enterSaysWhere}</span>
    {:else if view?.call}
      <span class="mono">{view.call}</span>
      <span>{view.country}</span>
      {#if view.worth?.dupe}<strong class="trouble">{shortWorth(view.worth)}</strong>
      {:else if view.worth && !view.worth.counts}<span class="trouble"
          >{texts.doesNotCount(view.worth.reason)}</span
        >
      {:else if view.worth}<strong>{worthWords(view.worth).join(' · ')}</strong>{/if}
      {#each view.questions as question (question)}<span class="question">{question}</span>{/each}
      <span class="muted">
        {says(view)}
      </span>
    {/if}
  {/if}
</p>

<style>
  p {
    display: flex;
    flex-wrap: wrap;
    gap: 0 16px;
    min-height: 28px;
    padding-top: 4px;
  }

  .question {
    color: var(--yb-ink);
    text-decoration: underline dotted;
    text-underline-offset: 4px;
  }
</style>
