<script lang="ts">
  import type { Handover } from '../../platform/api/client';
  import { clock } from '../../platform/shared/clock.svelte';
  import { HeldRows } from '../../platform/shared/held-rows.svelte';
  import WaitingRows from '../../platform/shared/WaitingRows.svelte';
  import { counted, until, utcDate, utcSecond } from '../../platform/shared/format';
  import { texts } from './texts';

  let { handovers }: { handovers: Handover[] } = $props();

  const held = new HeldRows(() => handovers);

  function outcome(h: Handover): string {
    if (h.state === 'REPORTED') {
      if (h.contacts === 1) {
        return h.refused ? texts.isRefused : texts.accepted;
      }
      return h.refused
        ? texts.acceptedRefusedTaken(h.taken ?? 0, h.refused)
        : texts.allAcceptedTaken(h.taken ?? 0);
    }
    if (h.state === 'GIVEN') {
      return h.trouble ?? texts.queuedThereWaitingForThe;
    }
    if (h.state === 'REFUSED') {
      return h.trouble ?? texts.isRefused;
    }
    return h.trouble
      ? texts.nextTryTrouble(h.trouble, h.nextTryAt ? until(h.nextTryAt, clock.now) : texts.soon)
      : texts.onItsWay;
  }
</script>

<section aria-label={texts.handovers}>
  <h3 class="small-head">{texts.handovers} <WaitingRows {held} /></h3>
  {#if handovers.length === 0}
    <p class="muted">{texts.nothingHasBeenHandedOver}</p>
  {:else}
    <table class="list" use:held.watch>
      <thead>
        <tr
          ><th>{texts.preparedUtc}</th><th class="number">{texts.contacts}</th><th class="words"
            >{texts.sentBy}</th
          ><th>{texts.receipt}</th><th class="words">{texts.servicesWords}</th><th>{texts.outcome}</th></tr
        >
      </thead>
      <tbody>
        {#each held.rows as h (h.id)}
          <tr>
            <td class="mono">{utcDate(h.preparedAt)} {utcSecond(h.preparedAt)}</td>
            <td class="mono number" title={counted(h.contacts, 'contact')}>{h.contacts}</td>
            <td class="words" class:muted={!h.askedBy}>{h.askedBy ?? texts.automatically}</td>
            <td class="mono">{h.receiptNumber ?? '—'}</td>
            <td class="words">{h.receiptWords ?? ''}</td>
            <td class:trouble={h.state === 'REFUSED' || (h.state === 'PREPARED' && h.trouble)}
              >{outcome(h)}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
</section>

<style>
  section {
    margin-top: 16px;
  }

  table {
    margin-top: 4px;
  }

  td {
    height: 30px;
  }

  .mono {
    white-space: nowrap;
  }

  @container (max-width: 860px) {
    .words {
      display: none;
    }
  }

  .number {
    text-align: right;
  }
</style>
