<script lang="ts">
  import { Button, TextArea } from 'carbon-components-svelte';
  import type { JournalLine } from '../../platform/api/client';
  import type { JournalStore } from './journal.svelte';
  import { texts } from './texts';

  /** A record as it came; one that was not taken can be put right and sent through again. */
  let { journal, line }: { journal: JournalStore; line: JournalLine } = $props();

  const start = () => line.raw;
  let raw = $state(start());
  let outcome = $state('');

  async function again() {
    outcome = await journal.again(line.id, raw);
  }
</script>

<div class="record">
  {#if line.contactId === undefined}
    <TextArea labelText={texts.theRecordPutRightWhat} rows={4} bind:value={raw} />
    <div class="act">
      <Button size="small" on:click={again}>{texts.sendItThroughAgain}</Button>
      <span role="status">{outcome}</span>
    </div>
  {:else}
    <pre class="mono">{line.raw || '(empty)'}</pre>
  {/if}
</div>

<style>
  .record {
    padding: 8px 12px 12px;
    background: var(--yb-panel);
    white-space: normal;
  }

  pre {
    font-size: 12px;
    white-space: pre-wrap;
    overflow-wrap: anywhere;
  }

  .record :global(textarea) {
    font-family: var(--yb-mono);
    font-size: 12px;
  }

  .act {
    display: flex;
    align-items: center;
    gap: 12px;
    margin-top: 8px;
  }
</style>
