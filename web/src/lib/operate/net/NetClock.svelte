<script lang="ts">
  import type { NetSheet } from '../../platform/api/client';
  import { clock } from '../../platform/shared/clock.svelte';
  import { texts } from './texts';

  let { sheet, onidentified }: { sheet: NetSheet; onidentified: () => void } = $props();

  /** `4:07`, or `1:04:07` from an hour on. */
  function span(from: string): string {
    const seconds = Math.max(0, Math.floor((clock.now - Date.parse(from)) / 1000));
    const two = (n: number) => String(n).padStart(2, '0');
    const hours = Math.floor(seconds / 3600);
    const minutes = Math.floor(seconds / 60) % 60;
    return `${hours > 0 ? `${hours}:${two(minutes)}` : minutes}:${two(seconds % 60)}`;
  }

  const present = $derived(sheet.checkIns.find((one) => one.id === sheet.turnId));
  const next = $derived(sheet.checkIns.find((one) => one.id === sheet.nextId));
  const named = (one: typeof present) =>
    one ? [one.call ?? one.heard, one.name].filter(Boolean).join(' ') : '–';
  const overdue = $derived(clock.now - Date.parse(sheet.identifiedAt) >= sheet.identifyMinutes * 60_000);
</script>

<dl>
  <div>
    <dt>{texts.netRuns}</dt>
    <dd class="mono">{span(sheet.startedAt)}</dd>
  </div>
  <div class:overdue>
    <dt>{texts.sinceMyCall}</dt>
    <dd>
      <span class="mono">{span(sheet.identifiedAt)}</span>
      {#if overdue}<strong role="status">{texts.giveYourCall(sheet.ownCall ?? texts.yourCall)}</strong>{/if}
      <button class="more" onclick={onidentified} title={texts.onTheEmptyLine}>{texts.iGaveIt}</button>
    </dd>
  </div>
  {#if sheet.netControl}
    <div>
      <dt>{texts.round}</dt>
      <dd class="mono">{sheet.round}</dd>
    </div>
    <div class="turn">
      <dt>{texts.turn}</dt>
      <dd>{named(present)}</dd>
    </div>
    <div>
      <dt>{texts.nextStation}</dt>
      <dd>{!next && sheet.checkIns.length > 0 ? texts.roundComplete : named(next)}</dd>
    </div>
  {/if}
</dl>

<style>
  dl {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 32px;
    padding: 8px 12px;
    background: var(--yb-panel);
    border-left: 3px solid var(--yb-line-strong);
  }

  dt {
    color: var(--yb-ink-2);
    font-size: 12px;
  }

  dd {
    display: flex;
    gap: 8px;
    align-items: center;
    min-height: 24px;
  }

  .turn dd {
    font-weight: 600;
  }

  .overdue dd,
  .overdue strong {
    color: var(--yb-trouble);
    font-weight: 600;
  }
</style>
