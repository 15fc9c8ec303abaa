<script lang="ts">
  import { Button, ProgressBar } from 'carbon-components-svelte';
  import { grouped } from '../../platform/shared/format';
  import { ChangeStore } from './changes.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const changes = useStore(ChangeStore);

  const change = $derived(changes.shown);
  const running = $derived(change?.state === 'RUNNING');
</script>

{#if change || changes.problem}
  <div class="change" role="status">
    {#if changes.problem}
      <span class="trouble">{changes.problem}</span>
    {:else if change}
      <span class="what">
        {change.sentence}
        {#if change.state === 'STOPPED'}
          <strong>{texts.stoppedAfterOfWhatWas(grouped(change.done), grouped(change.planned))}</strong>
        {/if}
      </span>
      {#if running}
        <div class="far">
          <ProgressBar
            size="sm"
            hideLabel
            labelText={texts.howFarItIs}
            value={change.done}
            max={Math.max(1, change.planned)}
          />
        </div>
        <span class="mono">{grouped(change.done)} / {grouped(change.planned)}</span>
        <Button size="small" kind="ghost" on:click={() => changes.cancel(change.id)}>{texts.cancel}</Button>
      {:else if change.undoneBy === undefined && change.done > 0}
        <Button size="small" kind="tertiary" on:click={() => changes.undo(change.id)}>
          {change.undoes === undefined ? texts.undo : texts.doItAgain}
        </Button>
      {/if}
    {/if}
    {#if !running}<button class="more" onclick={() => changes.dismiss()}>{texts.close}</button>{/if}
  </div>
{/if}

<style>
  .change {
    display: flex;
    align-items: center;
    gap: 16px;
    min-height: 44px;
    padding: 4px 24px;
    border-top: 1px solid var(--yb-line-strong);
    background: var(--yb-raised);
  }

  .what {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .what strong {
    font-weight: 600;
  }

  .far {
    width: 160px;
  }

  .more {
    margin-left: auto;
  }
</style>
