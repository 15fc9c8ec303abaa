<script lang="ts">
  import type { Lane } from '../../platform/api/client';
  import { STATE_WORDS } from '../../sources/hookup/hookups.svelte';
  import { counted, grouped } from '../../platform/shared/format';
  import Notch from '../../platform/shared/Notch.svelte';
  import { texts } from './texts';

  let { lane, selected, onchoose }: { lane: Lane; selected: boolean; onchoose: () => void } = $props();

  const troubles = $derived(
    [
      lane.counts['REFUSED'] ? texts.countRefused(grouped(lane.counts['REFUSED'])) : '',
      lane.unmatched ? texts.unmatched(grouped(lane.unmatched)) : '',
      lane.withdrawalTrouble ? texts.aDeletionFailed : '',
    ].filter(Boolean),
  );
  const says = $derived(
    lane.hookup?.state === 'TROUBLE'
      ? (lane.hookup.brief ?? texts.trouble)
      : !lane.complete
        ? texts.notSetUpYet
        : lane.paused
          ? texts.paused
          : lane.filling !== undefined
            ? texts.lookingThroughTheLog
            : lane.due > 0
              ? texts.dueContacts(counted(lane.due, 'contact'))
              : texts.nothingDue,
  );
</script>

<button role="tab" aria-selected={selected} onclick={onchoose}>
  <span class="name">{lane.name}</span>
  <span class="state">
    {#if lane.hookup}<Notch state={lane.hookup.state} />
      <span class="visually-hidden">{STATE_WORDS[lane.hookup.state]}</span>{/if}
    {says}
  </span>
  <span class="counts mono">
    {texts.acceptedCounts(
      grouped((lane.counts['ACCEPTED'] ?? 0) + (lane.counts['CONFIRMED'] ?? 0)),
      lane.confirms ? texts.confirmedValue(grouped(lane.counts['CONFIRMED'] ?? 0)) : '',
    )}
  </span>
  {#if troubles.length > 0}<span class="trouble">{troubles.join(' · ')}</span>{/if}
</button>

<style>
  button {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 2px 12px;
    align-content: start;
    align-items: baseline;
    padding: 8px 12px;
    border: 1px solid var(--yb-line);
    border-radius: 4px;
    background: none;
    color: var(--yb-ink);
    font: inherit;
    text-align: left;
    cursor: pointer;
  }

  button[aria-selected='true'] {
    border-color: var(--yb-accent);
    background: var(--yb-panel);
    box-shadow: inset 0 -3px 0 var(--yb-accent);
  }

  .name {
    font-weight: 600;
  }

  .state {
    display: flex;
    align-items: center;
    justify-content: flex-end;
    gap: 6px;
    color: var(--yb-ink-2);
    white-space: nowrap;
  }

  .counts,
  .trouble {
    grid-column: 1 / -1;
    font-size: 12px;
  }

  .counts {
    color: var(--yb-ink-2);
  }
</style>
