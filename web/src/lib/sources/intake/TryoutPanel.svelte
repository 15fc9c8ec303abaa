<script lang="ts">
  import { Button, ProgressBar } from 'carbon-components-svelte';
  import { counted, grouped } from '../../platform/shared/format';
  import Counts from './Counts.svelte';
  import { DECISION_WORDS } from './journal.svelte';
  import type { TryoutStore } from './tryout.svelte';

  /** How looking at a log, or importing it, goes on, and what it found. */
  let { store }: { store: TryoutStore } = $props();

  const tryout = $derived(store.now);
  const picture = $derived(tryout?.picture);
  const words = $derived<Record<string, string>>(
    picture?.state === 'READING' || picture?.state === 'READ'
      ? { ...DECISION_WORDS, ADDED: 'new', MERGED: 'adds something', DUPLICATE: 'in the log already' }
      : DECISION_WORDS,
  );

  /** `20261101 101500` as `2026-11-01 10:15`. */
  const day = (start: string | undefined) =>
    (start ?? '').replace(/^(\d{4})(\d\d)(\d\d)/, '$1-$2-$3').replace(/ (\d\d)(\d\d)\d*$/, ' $1:$2');
</script>

{#if tryout && picture}
  {#if store.underWay}
    <div class="progress">
      <ProgressBar
        size="sm"
        value={picture.percent}
        max={100}
        labelText={picture.state === 'READING' ? `Reading ${tryout.name}` : `Importing ${tryout.name}`}
        helperText={`${picture.percent} %${picture.recordsPerSecond ? `, ${grouped(picture.recordsPerSecond)} records a second` : ''}`}
      />
      <Button size="small" kind="ghost" on:click={() => void store.cancel()}>Stop</Button>
    </div>
  {/if}
  {#if picture.sentence}
    <p class:trouble={picture.state === 'FAILED'} role="status">{picture.sentence}</p>
  {/if}
  <div class="found">
    <Counts {tryout} />
    {#if picture.samples.length > 0}
      <table class="list" aria-label="Some of the records">
        <thead
          ><tr><th class="num">Record</th><th>Call</th><th>UTC</th><th>Band</th><th>Mode</th><th></th></tr
          ></thead
        >
        <tbody>
          {#each picture.samples as sample (sample.record)}
            <tr>
              <td class="mono num">{sample.record}</td>
              <td class="mono">{sample.call}</td>
              <td class="mono">{day(sample.start)}</td>
              <td class="mono">{sample.band}</td>
              <td>{sample.mode}</td>
              <td class="muted">{words[sample.decision] ?? ''}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
  </div>
  {#if picture.troubles.length > 0}
    <details open={picture.counts.refused <= 10}>
      <summary>
        {counted(picture.counts.refused, 'record')} that cannot be taken; the others go through
      </summary>
      <table class="list" aria-label="Records that cannot be taken">
        <thead><tr><th class="num">Record</th><th class="num">Line</th><th>What is wrong</th></tr></thead>
        <tbody>
          {#each picture.troubles as trouble (trouble.record)}
            <tr>
              <td class="mono num">{trouble.record}</td>
              <td class="mono num">{trouble.line}</td>
              <td class="what">{trouble.message}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    </details>
  {/if}
{/if}

<style>
  .progress {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 16px;
    align-items: end;
    max-width: 640px;
    margin-bottom: 12px;
  }

  .found {
    display: grid;
    grid-template-columns: minmax(320px, 2fr) minmax(0, 3fr);
    gap: 32px;
    align-items: start;
    margin-top: 8px;
  }

  td {
    white-space: nowrap;
  }

  .num {
    width: 64px;
    text-align: right;
  }

  .what {
    width: 100%;
    white-space: normal;
  }

  details {
    margin-top: 16px;
  }

  summary {
    cursor: pointer;
  }
</style>
