<script lang="ts">
  import type { CheckIn, NetSheet } from '../../platform/api/client';
  import { useStore } from '../../platform/page/stores';
  import { counted, utcMinute } from '../../platform/shared/format';
  import CheckInFields from './CheckInFields.svelte';
  import { wordsOf } from './marks';
  import { SheetStore } from './sheet.svelte';
  import { texts } from './texts';

  let { sheet }: { sheet: NetSheet } = $props();

  const store = useStore(SheetStore);
  const words = (one: CheckIn) =>
    [...wordsOf(one.marks, sheet.words), one.via ? texts.via(one.via) : ''].filter(Boolean).join(', ');

  let body = $state<HTMLElement | null>(null);
  $effect(() => {
    void store.chosenId;
    body?.querySelector('.chosen')?.scrollIntoView({ block: 'nearest' });
  });
  $effect(() => {
    if (store.addedId !== undefined) body?.lastElementChild?.scrollIntoView({ block: 'nearest' });
  });
</script>

{#if sheet.checkIns.length === 0}
  <p class="muted">{texts.nobodyHasCheckedInYet}</p>
{:else}
  <table class="list" aria-label={texts.checkIns}>
    <thead>
      <tr>
        <th class="number">#</th>
        <th><span class="visually-hidden">{texts.turn}</span></th>
        <th>{texts.call}</th>
        <th>{texts.name}</th>
        <th>{texts.place}</th>
        <th class="number">{texts.sessions}</th>
        <th class="number">{texts.contacts}</th>
        <th>{texts.marks}</th>
        <th>{texts.sent}</th>
        <th>{texts.received}</th>
        <th>{texts.note}</th>
        <th>UTC</th>
      </tr>
    </thead>
    <tbody bind:this={body}>
      {#each sheet.checkIns as one, i (one.id)}
        {#if store.editedId === one.id}
          <tr class="chosen"
            ><td colspan="12"><CheckInFields checkIn={one} removable={sheet.endedAt === undefined} /></td></tr
          >
        {:else}
          <tr
            class:chosen={store.chosenId === one.id}
            class:present={sheet.turnId === one.id}
            class:spoken={one.spoken && sheet.endedAt === undefined && sheet.turnId !== one.id}
            onclick={() => (store.chosenId = one.id)}
            ondblclick={() => (store.editedId = one.id)}
          >
            <td class="number mono">{i + 1}</td>
            <td class="state">
              {#if sheet.endedAt !== undefined}<span></span>
              {:else if !sheet.netControl}{#if one.worked}<strong>{texts.worked}</strong>{/if}
              {:else if sheet.turnId === one.id}<strong>{texts.itsTurn}</strong>
              {:else if sheet.nextId === one.id}{texts.next}
              {:else if one.spoken}<span title={texts.hadItsTurnInThis}>✓</span>
              {:else if one.skipped}{texts.later}{/if}
            </td>
            <td class="mono call">
              {one.call ?? one.heard}{#if !one.call}<span class="trouble" title={texts.onlyAPartOfA}>?</span
                >{/if}
            </td>
            <td>{one.name ?? ''}</td>
            <td class="place">{one.place ?? ''}</td>
            <td class="number mono">{one.sessions > 0 ? one.sessions : one.call ? texts.first : ''}</td>
            <td class="number mono">{one.contacts === 0 ? '' : `${one.contacts}×`}</td>
            <td>
              {words(one)}
            </td>
            <td class="mono">{one.sent ?? ''}</td>
            <td class="mono">{one.received ?? ''}</td>
            <td class="note">{one.note ?? ''}</td>
            <td class="mono">
              {utcMinute(one.at)}
              {#if one.contactId !== undefined}
                <a href={`#/log?contact=${one.contactId}`} title={texts.openTheContact}>{texts.logged}</a>
              {/if}
            </td>
          </tr>
        {/if}
      {/each}
    </tbody>
  </table>
  <p class="visually-hidden" role="status">{counted(sheet.checkIns.length, 'check-in')}</p>
{/if}

<style>
  td {
    height: 30px;
    white-space: nowrap;
  }

  .number {
    text-align: right;
  }

  .state {
    width: 48px;
    color: var(--yb-ink-2);
    font-size: 13px;
  }

  .state strong {
    color: var(--yb-accent);
    font-weight: 600;
  }

  .call {
    font-weight: 600;
  }

  .place {
    max-width: 18ch;
    overflow: hidden;
    text-overflow: ellipsis;
  }

  .note {
    max-width: 24ch;
    overflow: hidden;
    text-overflow: ellipsis;
  }

  .spoken td {
    color: var(--yb-ink-2);
  }

  .present td {
    background: var(--yb-panel);
  }

  .chosen td {
    background: var(--yb-selected);
  }
</style>
