<script lang="ts">
  import { Button, FileUploaderButton, InlineLoading } from 'carbon-components-svelte';
  import type { ImportResult } from '../../platform/api/client';
  import { useStore } from '../../platform/page/stores';
  import { grouped } from '../../platform/shared/format';
  import { BookStore } from './books.svelte';
  import { texts } from './texts';

  let { id, onclose }: { id: number; onclose: () => void } = $props();

  const MAX_SHOWN = 5;

  const books = useStore(BookStore);
  let reading = $state(false);
  let result = $state.raw<ImportResult | undefined>(undefined);

  async function take(file: File | undefined) {
    if (!file) return;
    reading = true;
    result = await books.importFile(id, file);
    reading = false;
  }
</script>

<div class="import" role="group" aria-label={texts.importIntoTheBook}>
  <p>{texts.contactsOfThisContest}</p>
  <div class="act">
    {#if reading}
      <InlineLoading description={texts.readingTheFile} />
    {:else}
      <FileUploaderButton
        size="small"
        kind="tertiary"
        labelText={texts.chooseTheFile}
        disableLabelChanges
        accept={['.adi', '.adif', '.adx', '.log', '.cbr', '.txt']}
        on:change={({ detail }) => void take(detail[0])}
      />
      <Button kind="secondary" size="small" on:click={onclose}>{texts.close}</Button>
    {/if}
    {#if books.saving.fault(`import-${id}`)}
      <span class="trouble" role="alert">{books.saving.fault(`import-${id}`)}</span>
    {:else if result}
      <span role="status">
        {texts.imported(
          grouped(result.read),
          grouped(result.added),
          grouped(result.merged + result.duplicates),
          grouped(result.refused),
        )}
      </span>
    {/if}
  </div>
  {#if result && result.problems.length > 0}
    <table class="list" aria-label={texts.whyRefused}>
      <thead><tr><th>{texts.line}</th><th>{texts.whyRefused}</th></tr></thead>
      <tbody>
        {#each result.problems.slice(0, MAX_SHOWN) as problem (problem.record)}
          <tr><td class="mono">{problem.line}</td><td>{problem.message}</td></tr>
        {/each}
      </tbody>
    </table>
    {#if result.refused > MAX_SHOWN}
      <p class="muted">{texts.moreInTheJournal(grouped(result.refused - MAX_SHOWN))}</p>
    {/if}
  {/if}
</div>

<style>
  .import {
    display: flex;
    flex-direction: column;
    gap: 8px;
    padding: 8px 12px;
    border-left: 3px solid var(--yb-accent);
    background: var(--yb-panel);
  }

  .act {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 16px;
  }
</style>
