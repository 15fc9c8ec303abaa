<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import Drawer from '../../platform/shared/Drawer.svelte';
  import { utcDate, utcMinute } from '../../platform/shared/format';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { ChangeStore } from './changes.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const navigation = useStore(Navigation);
  const changesStore = useStore(ChangeStore);

  const changes = $derived(changesStore.all);

  function day(index: number): string | undefined {
    const at = changes[index]?.at ?? '';
    return changes[index - 1]?.at.slice(0, 10) === at.slice(0, 10) ? undefined : utcDate(at);
  }
</script>

<Drawer
  label={texts.changes}
  title={texts.changes}
  subtitle={texts.whatWasDoneToThe}
  onclose={() => navigation.close()}
>
  <ol>
    {#each changes as change, i (change.id)}
      {#if day(i)}<li class="day mono">{day(i)}</li>{/if}
      <li class:undone={change.undoneBy !== undefined}>
        <span class="mono muted">{utcMinute(change.at)}</span>
        <span class="what">
          {change.sentence}
          {#if change.madeBy}<span class="muted">{change.madeBy}</span>{/if}
          {#if change.undoneBy !== undefined}<em>{texts.undone}</em>{/if}
          {#if change.state === 'STOPPED'}<em>{texts.stoppedAfterOf(change.done, change.planned)}</em>{/if}
          {#if change.state === 'RUNNING'}<em>{texts.ofDone(change.done, change.planned)}</em>{/if}
        </span>
        {#if change.undoneBy === undefined && change.state !== 'RUNNING' && change.done > 0}
          <Button size="small" kind="ghost" on:click={() => changesStore.undo(change.id)}>
            {change.undoes === undefined ? texts.undo : texts.doAgain}
          </Button>
        {/if}
      </li>
    {:else}
      <li>
        <span class="muted">{texts.nothingWasChangedYetEdits}</span>
      </li>
    {/each}
  </ol>
</Drawer>

<style>
  ol {
    margin: 0;
    padding: 0;
    list-style: none;
  }

  li {
    display: flex;
    align-items: baseline;
    gap: 12px;
    padding: 4px 0;
    border-bottom: 1px solid var(--yb-line);
  }

  .day {
    padding-top: 12px;
    color: var(--yb-ink-2);
    font-size: 12px;
  }

  .what {
    flex: 1;
    overflow-wrap: anywhere;
  }

  em {
    color: var(--yb-accent);
    font-style: normal;
  }

  .undone .what {
    color: var(--yb-ink-2);
  }
</style>
