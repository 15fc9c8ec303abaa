<script lang="ts">
  import { Button, ProgressBar } from 'carbon-components-svelte';
  import { counted, grouped } from '../../platform/shared/format';
  import Counts from './Counts.svelte';
  import { DECISION_WORDS } from './journal.svelte';
  import type { TryoutStore } from './tryout.svelte';
  import { texts } from './texts';

  /** How looking at a log, or importing it, goes on, and what it found. */
  let { store }: { store: TryoutStore } = $props();

  const tryout = $derived(store.now);
  const picture = $derived(tryout?.picture);
  const words = $derived<Record<string, string>>(
    picture?.state === 'READING' || picture?.state === 'READ'
      ? { ...DECISION_WORDS, ADDED: texts.new, MERGED: texts.addsSomething, DUPLICATE: texts.inTheLogAlready }
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
        labelText={picture.state === 'READING'
          ? texts.readingName(tryout.name)
          : texts.importingName(tryout.name)}
        helperText={`${picture.percent} %${picture.recordsPerSecond ? texts.recordsASecond(grouped(picture.recordsPerSecond)) : ''}`}
      />
      <Button size="small" kind="ghost" on:click={() => void store.cancel()}>{texts.stop}</Button>
    </div>
  {/if}
  {#if picture.sentence}
    <p class:trouble={picture.state === 'FAILED'} role="status">{picture.sentence}</p>
  {/if}
  <div class="found">
    <Counts {tryout} />
    {#if picture.samples.length > 0}
      <table class="list" aria-label={texts.someOfTheRecords}>
        <thead
          ><tr
            ><th class="num">{texts.record}</th><th>{texts.call}</th><th>UTC</th><th>{texts.band}</th><th
              >{texts.mode}</th
            ><th></th></tr
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
        {texts.thatCannotBeTakenThe(counted(picture.counts.refused, 'record'))}
      </summary>
      <table class="list" aria-label={texts.recordsThatCannotBeTaken}>
        <thead
          ><tr
            ><th class="num">{texts.record}</th><th class="num">{texts.line}</th><th>{texts.whatIsWrong}</th
            ></tr
          ></thead
        >
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
