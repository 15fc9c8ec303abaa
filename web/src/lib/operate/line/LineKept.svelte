<script lang="ts">
  import { useStore } from '../../platform/page/stores';
  import { megaHertz } from '../../platform/shared/format';
  import { PositionStore } from '../../station/position/positions.svelte';
  import { LineBarStore } from './line-bar.svelte';
  import { LineStore } from './line.svelte';
  import { texts } from './texts';

  const line = useStore(LineStore);
  const bar = useStore(LineBarStore);
  const positions = useStore(PositionStore);

  const view = $derived(line.view);
  const setting = $derived(
    [
      view?.frequencyHz ? megaHertz(view.frequencyHz) : view?.band,
      view?.mode,
      positions.here?.ownCall,
    ].filter(Boolean),
  );

  /** What may be kept for the contacts to come. */
  const STICKS = new Map([
    ['TX_PWR', 'power'],
    ['COMMENT', 'comment'],
  ]);
  /** What is kept, in words. */
  const KEPT = new Map([...STICKS, ['FREQ', 'MHz'], ['MODE', 'mode']]);
  const keepable = $derived(
    (view?.tokens ?? []).filter(
      (t) => STICKS.has(t.field ?? '') && !t.problem && line.sticking[t.field ?? ''] !== t.value,
    ),
  );
</script>

<div class="set">
  {#each view?.notices ?? [] as notice (notice)}<span class="notice">{notice}</span>{/each}
  {#if line.aside[0] !== undefined}
    <button class="more" onclick={() => line.recall(1)} title={texts.bringItBackIntoThe}
      ><kbd>↑</kbd> <span class="mono aside">{line.aside[0]}</span>{line.aside.length > 1
        ? ` +${line.aside.length - 1}`
        : ''}</button
    >
  {/if}
  {#each keepable as token (token.from)}
    <button class="more" onclick={() => line.stick(token.field ?? '', token.value)}
      >{texts.keepThisField(STICKS.get(token.field ?? '') ?? '')}</button
    >
  {/each}
  {#each Object.entries(line.sticking) as [field, value] (field)}
    <button class="kept" title={texts.keptForEachContactClick} onclick={() => line.stick(field, undefined)}
      >{KEPT.get(field) ?? field} {value} ×</button
    >
  {/each}
  <span class="mono muted">{setting.join(' · ')}</span>
  <button class="more" onclick={() => (bar.inFields = !bar.inFields)}>
    {bar.inFields ? texts.oneLine : texts.fields}
  </button>
</div>

<style>
  .aside {
    display: inline-block;
    max-width: 14ch;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    vertical-align: bottom;
    text-transform: uppercase;
  }

  .set {
    display: flex;
    grid-column: 2;
    align-items: center;
    justify-content: flex-end;
    gap: 12px;
    font-size: 12px;
  }

  .kept {
    max-width: 160px;
    padding: 1px 8px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 10px;
    background: none;
    color: var(--yb-ink);
    font: inherit;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    cursor: pointer;
  }
</style>
