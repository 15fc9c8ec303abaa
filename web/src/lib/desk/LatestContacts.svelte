<script lang="ts">
  import { untrack } from 'svelte';
  import type { AppState } from '../frame/app.svelte';
  import SealHeads from '../services/SealHeads.svelte';
  import { HeldRows } from '../shared/held-rows.svelte';
  import WaitingRows from '../shared/WaitingRows.svelte';
  import Seals from '../services/Seals.svelte';
  import { kiloHertz, localTime, utcMinute } from '../shared/format';

  let { app }: { app: AppState } = $props();

  const SHOWN = 7;
  const held = new HeldRows(() => app.latest.lines.slice(0, SHOWN));
  const latest = $derived(held.rows);
  /** The contact the card shows while no call is typed: the one that was pointed out, else the newest. */
  let pointedId = $state<number | undefined>(undefined);
  const pointed = $derived(latest.find((line) => line.id === pointedId) ?? latest[0]);
  const whom = $derived(
    app.line.view?.station
      ? {
          call: app.line.view.station.call,
          locator: app.line.view.tokens.find((t) => t.field === 'GRIDSQUARE' && !t.problem)?.value,
        }
      : // Somebody a program is working is more to the point than whom it worked before.
        ((pointedId === undefined ? app.digital.partner : undefined) ?? (pointed && { call: pointed.call })),
  );

  $effect(() => app.partner.show(whom, app.positions.here?.id));
  $effect(() => {
    // What was logged or confirmed since belongs to the history shown.
    void app.latest.lines;
    untrack(() => app.partner.again(whom, app.positions.here?.id));
  });

  function onkeydown(event: KeyboardEvent) {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    const at = latest.findIndex((line) => line.id === pointed?.id);
    if (step !== undefined) {
      pointedId = latest[Math.min(latest.length - 1, Math.max(0, at + step))]?.id;
    } else if (event.key === 'Enter') {
      app.showContact(pointed?.id);
    } else {
      return;
    }
    event.preventDefault();
  }
</script>

<section aria-label="Last contacts">
  <h2>Last contacts <WaitingRows {held} /></h2>
  {#if latest.length === 0}
    <p class="muted">
      Nothing logged yet. Contacts that your programs make show up here by themselves; see
      <a href="#/hookups">Hookups</a> whether they reach the log.
    </p>
  {:else}
    <!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
    <table class="list" tabindex="0" {onkeydown} use:held.watch>
      <thead>
        <tr>
          <th>UTC</th><th>Call</th><th class="number">kHz</th><th>Mode</th><th>Sent</th><th>Rcvd</th><th
            >Name</th
          ><th class="country">Country</th>{#if app.lanes.sealed.length > 0}<th
              ><SealHeads lanes={app.lanes.sealed} /></th
            >{/if}
        </tr>
      </thead>
      <tbody>
        {#each latest as line (line.id)}
          <tr
            class:pointed={!app.line.view?.station && line.id === pointed?.id}
            onclick={() => (pointedId = line.id)}
          >
            <td class="mono" title={localTime(line.start)}>{utcMinute(line.start)}</td>
            <td class="mono call">
              <button onclick={() => app.showContact(line.id)}>{line.call}</button>
            </td>
            <td class="mono number">{kiloHertz(line.frequencyHz) || line.band}</td>
            <td>{line.mode}</td>
            <td class="mono">{line.reportSent ?? ''}</td>
            <td class="mono">{line.reportReceived ?? ''}</td>
            <td class="name">{line.name ?? ''}</td>
            <td class="country">{line.country ?? ''}</td>
            {#if app.lanes.sealed.length > 0}
              <td><Seals lanes={app.lanes.sealed} seals={line.seals} /></td>
            {/if}
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
</section>

<style>
  section {
    container-type: inline-size;
  }

  /* The call tells it, and the card beside spells it out. */
  @container (max-width: 540px) {
    .country {
      display: none;
    }
  }

  td {
    height: 30px;
    white-space: nowrap;
  }

  tbody tr {
    cursor: default;
  }

  .pointed {
    background: var(--yb-selected);
    box-shadow: inset 3px 0 0 var(--yb-accent);
  }

  td:first-child,
  th:first-child {
    padding-left: 8px;
  }

  .number {
    text-align: right;
  }

  .name,
  .country {
    width: 50%;
    max-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
  }

  .call button {
    padding: 0;
    border: 0;
    background: none;
    color: var(--yb-ink);
    font: inherit;
    font-weight: 600;
    cursor: pointer;
  }

  .call button:hover {
    color: var(--yb-accent);
  }
</style>
