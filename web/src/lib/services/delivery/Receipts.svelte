<script lang="ts">
  import type { Handover } from '../../platform/api/client';
  import { clock } from '../../platform/shared/clock.svelte';
  import { HeldRows } from '../../platform/shared/held-rows.svelte';
  import WaitingRows from '../../platform/shared/WaitingRows.svelte';
  import { counted, until, utcDate, utcSecond } from '../../platform/shared/format';

  let { handovers }: { handovers: Handover[] } = $props();

  const held = new HeldRows(() => handovers);

  function outcome(h: Handover): string {
    if (h.state === 'REPORTED') {
      if (h.contacts === 1) {
        return h.refused ? 'refused' : 'accepted';
      }
      return h.refused ? `${h.taken} accepted, ${h.refused} refused` : `all ${h.taken} accepted`;
    }
    if (h.state === 'GIVEN') {
      return h.trouble ?? 'queued there; waiting for the report';
    }
    if (h.state === 'REFUSED') {
      return h.trouble ?? 'refused';
    }
    return h.trouble
      ? `${h.trouble} Next try ${h.nextTryAt ? until(h.nextTryAt, clock.now) : 'soon'}.`
      : 'on its way';
  }
</script>

<section aria-label="Handovers">
  <h3 class="small-head">Handovers <WaitingRows {held} /></h3>
  {#if handovers.length === 0}
    <p class="muted">Nothing has been handed over yet.</p>
  {:else}
    <table class="list" use:held.watch>
      <thead>
        <tr
          ><th>Prepared, UTC</th><th class="number">Contacts</th><th class="words">Sent by</th><th>Receipt</th
          ><th class="words">Service's words</th><th>Outcome</th></tr
        >
      </thead>
      <tbody>
        {#each held.rows as h (h.id)}
          <tr>
            <td class="mono">{utcDate(h.preparedAt)} {utcSecond(h.preparedAt)}</td>
            <td class="mono number" title={counted(h.contacts, 'contact')}>{h.contacts}</td>
            <td class="words" class:muted={!h.askedBy}>{h.askedBy ?? 'automatically'}</td>
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
