<script lang="ts">
  import type { Tryout } from '../../platform/api/client';
  import { form, grouped } from '../../platform/shared/format';

  /** What would become, or became, of the records of a log. */
  let { tryout }: { tryout: Tryout } = $props();

  const picture = $derived(tryout.picture);
  const done = $derived(picture.state === 'IMPORTED' || picture.state === 'CANCELLED');
  const rows = $derived([
    { n: picture.counts.added, words: done ? 'new in the log' : 'new' },
    { n: picture.counts.merged, words: 'add something to contacts in the log' },
    { n: picture.counts.duplicates, words: 'in the log already' },
    { n: picture.counts.leftOut, words: 'left out, by your choices' },
    { n: picture.counts.refused, words: 'cannot be taken' },
  ]);
</script>

<dl aria-label="Counts" aria-live="polite">
  <div class="all">
    <dt>{grouped(picture.counts.read)}</dt>
    <dd>
      {form(picture.counts.read, { one: 'record', other: 'records' })}{#if picture.counts.firstDay}, {picture
          .counts.firstDay} to {picture.counts.lastDay}{/if}
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
