<script lang="ts">
  import { untrack } from 'svelte';
  import SealHeads from '../../services/delivery/SealHeads.svelte';
  import { HeldRows } from '../../platform/shared/held-rows.svelte';
  import WaitingRows from '../../platform/shared/WaitingRows.svelte';
  import Seals from '../../services/delivery/Seals.svelte';
  import { kiloHertz, localTime, utcMinute } from '../../platform/shared/format';
  import { PartnerStore } from '../partner/partner.svelte';
  import { LineStore } from '../line/line.svelte';
  import { PositionStore } from '../../station/position/positions.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { LatestStore } from '../../log/latest.svelte';
  import { DigitalStore } from '../../sources/digital/digital.svelte';
  import { LaneStore } from '../../services/delivery/lanes.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const partner = useStore(PartnerStore);
  const lineStore = useStore(LineStore);
  const positions = useStore(PositionStore);
  const navigation = useStore(Navigation);
  const latestStore = useStore(LatestStore);
  const digital = useStore(DigitalStore);
  const lanes = useStore(LaneStore);

  const SHOWN = 7;
  const held = new HeldRows(() => latestStore.lines.slice(0, SHOWN));
  const latest = $derived(held.rows);
  /** The contact the card shows while no call is typed: the one that was pointed out, else the newest. */
  let pointedId = $state<number | undefined>(undefined);
  const pointed = $derived(latest.find((line) => line.id === pointedId) ?? latest[0]);
  const whom = $derived(
    lineStore.view?.station
      ? {
          call: lineStore.view.station.call,
          locator: lineStore.view.tokens.find((t) => t.field === 'GRIDSQUARE' && !t.problem)?.value,
        }
      : // Somebody a program is working is more to the point than whom it worked before.
        ((pointedId === undefined ? digital.partner : undefined) ?? (pointed && { call: pointed.call })),
  );

  $effect(() => partner.show(whom, positions.here?.id));
  $effect(() => {
    // What was logged or confirmed since belongs to the history shown.
    void latestStore.lines;
    untrack(() => partner.again(whom, positions.here?.id));
  });

  function onkeydown(event: KeyboardEvent) {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    const at = latest.findIndex((line) => line.id === pointed?.id);
    if (step !== undefined) {
      pointedId = latest[Math.min(latest.length - 1, Math.max(0, at + step))]?.id;
    } else if (event.key === 'Enter') {
      navigation.showContact(pointed?.id);
    } else {
      return;
    }
    event.preventDefault();
  }
</script>

<section aria-label={texts.lastContacts}>
  <h2>{texts.lastContacts} <WaitingRows {held} /></h2>
  {#if latest.length === 0}
    <p class="muted">
      {texts.nothingLoggedYetContactsThat}
      <a href="#/hookups">{texts.hookups}</a>
      {texts.whetherTheyReachTheLog}
    </p>
  {:else}
    <!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
    <table class="list" tabindex="0" {onkeydown} use:held.watch>
      <thead>
        <tr>
          <th>UTC</th><th>{texts.call}</th><th class="number">kHz</th><th>{texts.mode}</th><th
            >{texts.sent}</th
          ><th>{texts.rcvd}</th><th>{texts.name}</th><th class="country">{texts.country}</th
          >{#if lanes.sealed.length > 0}<th><SealHeads lanes={lanes.sealed} /></th>{/if}
        </tr>
      </thead>
      <tbody>
        {#each latest as line (line.id)}
          <tr
            class:pointed={!lineStore.view?.station && line.id === pointed?.id}
            onclick={() => (pointedId = line.id)}
          >
            <td class="mono" title={localTime(line.start)}>{utcMinute(line.start)}</td>
            <td class="mono call">
              <button onclick={() => navigation.showContact(line.id)}>{line.call}</button>
            </td>
            <td class="mono number">{kiloHertz(line.frequencyHz) || line.band}</td>
            <td>{line.mode}</td>
            <td class="mono">{line.reportSent ?? ''}</td>
            <td class="mono">{line.reportReceived ?? ''}</td>
            <td class="name">{line.name ?? ''}</td>
            <td class="country">{line.country ?? ''}</td>
            {#if lanes.sealed.length > 0}
              <td><Seals lanes={lanes.sealed} seals={line.seals} /></td>
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
