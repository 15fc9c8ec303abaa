<script lang="ts">
  import type { Tryout } from '../../platform/api/client';
  import { form, grouped } from '../../platform/shared/format';
  import { texts } from './texts';

  /** What would become, or became, of the records of a log. */
  let { tryout }: { tryout: Tryout } = $props();

  const picture = $derived(tryout.picture);
  const done = $derived(picture.state === 'IMPORTED' || picture.state === 'CANCELLED');
  const rows = $derived([
    { n: picture.counts.added, words: done ? texts.newInTheLog : texts.new },
    { n: picture.counts.merged, words: texts.addSomethingToContactsIn },
    { n: picture.counts.duplicates, words: texts.inTheLogAlready },
    { n: picture.counts.leftOut, words: texts.leftOutByYourChoices },
    { n: picture.counts.refused, words: texts.cannotBeTaken },
  ]);
</script>

<dl aria-label={texts.counts} aria-live="polite">
  <div class="all">
    <dt>{grouped(picture.counts.read)}</dt>
    <dd>
      {form(picture.counts.read, {
        one: 'record',
        other: 'records',
      })}{#if picture.counts.firstDay}{texts.toFirstDay(
          picture.counts.firstDay,
          picture.counts.lastDay ?? '',
        )}{/if}
    </dd>
  </div>
  {#each rows as { n, words } (words)}
    <div class:none={n === 0}>
      <dt>{grouped(n)}</dt>
      <dd>{words}</dd>
    </div>
  {/each}
</dl>

<style>
  dl > div {
    display: grid;
    grid-template-columns: 88px 1fr;
    gap: 12px;
    padding: 2px 0;
  }

  dt {
    font-family: var(--yb-mono);
    text-align: right;
  }

  .all {
    font-weight: 600;
  }

  .none {
    color: var(--yb-ink-2);
  }
</style>
