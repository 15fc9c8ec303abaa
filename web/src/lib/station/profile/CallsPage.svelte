<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { OwnCallView, StationView } from '../../platform/api/client';
  import SavingInput from '../../platform/shared/SavingInput.svelte';
  import OperatorsTable from './OperatorsTable.svelte';
  import type { StationStore } from './station.svelte';
  import { texts } from './texts';

  let { station, view }: { station: StationStore; view: StationView } = $props();

  const NEW_CALL = { callSign: '', validFrom: '', validUntil: '', note: '' };
  let newCall = $state({ ...NEW_CALL });

  const callFields = (c: OwnCallView) => ({
    callSign: c.callSign,
    validFrom: c.validFrom ?? '',
    validUntil: c.validUntil ?? '',
    note: c.note ?? '',
  });
  async function addCall() {
    if (await station.saveCall(undefined, newCall)) {
      newCall = { ...NEW_CALL };
    }
  }
</script>

<h2>{texts.ownCall}</h2>
<p class="muted">{texts.contactsAreLoggedWithIt}</p>
<div class="own">
  <SavingInput
    label={texts.ownCall}
    hideLabel
    value={view.ownCall ?? ''}
    mono
    saved={station.saving.saved('ownCall')}
    fault={station.saving.fault('ownCall', 'ownCall')}
    onsave={(call) => station.setOwnCall(call)}
  />
</div>

<h2>{texts.furtherCalls}</h2>
<p class="muted">{texts.aCallForAnEvent}</p>
<table class="list form">
  <thead>
    <tr
      ><th>{texts.call}</th><th>{texts.firstDay}</th><th>{texts.lastDay}</th><th>{texts.whatFor}</th><th
        ><span class="visually-hidden">{texts.act}</span></th
      ></tr
    >
  </thead>
  <tbody>
    {#each view.calls as call (call.id)}
      {@const key = `call-${call.id}`}
      {@const save = (part: Partial<typeof NEW_CALL>) =>
        station.saveCall(call.id, { ...callFields(call), ...part })}
      {@const saved = station.saving.saved(key)}
      <tr>
        <td class="call"
          ><SavingInput
            label={texts.call}
            hideLabel
            mono
            value={call.callSign}
            {saved}
            fault={station.saving.fault(key, 'callSign')}
            onsave={(callSign) => save({ callSign })}
          /></td
        >
        <td class="day"
          ><SavingInput
            label={texts.firstDay}
            hideLabel
            placeholder={texts.always}
            value={call.validFrom ?? ''}
            {saved}
            fault={station.saving.fault(key, 'validFrom')}
            onsave={(validFrom) => save({ validFrom })}
          /></td
        >
        <td class="day"
          ><SavingInput
            label={texts.lastDay}
            hideLabel
            placeholder={texts.forEver}
            value={call.validUntil ?? ''}
            {saved}
            fault={station.saving.fault(key, 'validUntil')}
            onsave={(validUntil) => save({ validUntil })}
          /></td
        >
        <td
          ><SavingInput
            label={texts.whatFor}
            hideLabel
            value={call.note ?? ''}
            {saved}
            onsave={(note) => save({ note })}
          /></td
        >
        <td class="act">
          <span class="muted">{call.validNow ? texts.validToday : texts.notValidToday}</span>
          <Button kind="ghost" size="small" on:click={() => station.removeCall(call.id)}
            >{texts.remove}</Button
          >
        </td>
      </tr>
    {/each}
    <tr>
      <td class="call"
        ><SavingInput
          label={texts.newCall}
          hideLabel
          placeholder={texts.newCallInSentence}
          mono
          value={newCall.callSign}
          saved={false}
          fault={station.saving.fault('call-new', 'callSign')}
          onsave={(callSign) => (newCall.callSign = callSign)}
        /></td
      >
      <td class="day"
        ><SavingInput
          label={texts.firstDayOfTheNew}
          hideLabel
          placeholder="2026-05-01"
          value={newCall.validFrom}
          saved={false}
          fault={station.saving.fault('call-new', 'validFrom')}
          onsave={(day) => (newCall.validFrom = day)}
        /></td
      >
      <td class="day"
        ><SavingInput
          label={texts.lastDayOfTheNew}
          hideLabel
          placeholder="2026-05-01"
          value={newCall.validUntil}
          saved={false}
          fault={station.saving.fault('call-new', 'validUntil')}
          onsave={(day) => (newCall.validUntil = day)}
        /></td
      >
      <td
        ><SavingInput
          label={texts.whatTheNewCallIs}
          hideLabel
          value={newCall.note}
          saved={false}
          onsave={(note) => (newCall.note = note)}
        /></td
      >
      <td class="act"
        ><Button kind="tertiary" size="small" disabled={!newCall.callSign} on:click={addCall}
          >{texts.addCall}</Button
        ></td
      >
    </tr>
  </tbody>
</table>

<OperatorsTable {station} {view} />

<style>
  .own {
    width: 160px;
    margin: 8px 0 24px;
  }

  table {
    max-width: 960px;
    margin: 4px 0 24px;
  }

  .call {
    width: 150px;
  }

  .day {
    width: 144px;
  }

  .act {
    width: 216px;
    padding-right: 0;
    line-height: 32px;
    text-align: right;
    white-space: nowrap;
  }

  .act :global(.bx--btn) {
    vertical-align: middle;
  }
</style>
