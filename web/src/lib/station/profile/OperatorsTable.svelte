<script lang="ts">
  import { Button, Select, SelectItem } from 'carbon-components-svelte';
  import type { OperatorView, StationView } from '../../platform/api/client';
  import SavedMark from '../../platform/shared/SavedMark.svelte';
  import SavingInput from '../../platform/shared/SavingInput.svelte';
  import type { StationStore } from './station.svelte';
  import { texts } from './texts';

  let { station, view }: { station: StationStore; view: StationView } = $props();

  const NEW_OPERATOR = { callSign: '', name: '', licence: '' };
  let newOperator = $state({ ...NEW_OPERATOR });

  const operatorFields = (o: OperatorView) => ({
    callSign: o.callSign,
    name: o.name ?? '',
    licence: o.licence ?? '',
  });

  async function addOperator() {
    if (await station.saveOperator(undefined, newOperator)) {
      newOperator = { ...NEW_OPERATOR };
    }
  }
</script>

{#snippet licence(selected: string, choose: (id: string) => void)}
  <Select
    size="sm"
    labelText={texts.licence}
    hideLabel
    {selected}
    on:update={(event) => choose(String(event.detail))}
  >
    <SelectItem value="" text={texts.notWatched} />
    {#each view.licences as choice (choice.id)}
      <SelectItem value={choice.id} text={choice.name} />
    {/each}
  </Select>
{/snippet}

<h2>{texts.operators}</h2>
<p class="muted">
  {texts.withALicenceChosenThe}
  {#if view.licencesProblem}<span class="trouble">{view.licencesProblem}</span>{/if}
</p>
<table class="list form">
  <thead>
    <tr
      ><th>{texts.call}</th><th>{texts.name}</th><th>{texts.licence}</th><th
        ><span class="visually-hidden">{texts.act}</span></th
      ></tr
    >
  </thead>
  <tbody>
    {#each view.operators as operator (operator.id)}
      {@const key = `operator-${operator.id}`}
      {@const save = (part: Partial<typeof NEW_OPERATOR>) =>
        station.saveOperator(operator.id, { ...operatorFields(operator), ...part })}
      {@const saved = station.saving.saved(key)}
      <tr>
        <td class="call"
          ><SavingInput
            label={texts.operatorsCall}
            hideLabel
            mono
            value={operator.callSign}
            {saved}
            fault={station.saving.fault(key, 'callSign')}
            onsave={(callSign) => save({ callSign })}
          /></td
        >
        <td
          ><SavingInput
            label={texts.operatorsName}
            hideLabel
            value={operator.name ?? ''}
            {saved}
            onsave={(name) => save({ name })}
          /></td
        >
        <td>{@render licence(operator.licence ?? '', (id) => void save({ licence: id }))}</td>
        <td class="act"><SavedMark {saved} /></td>
      </tr>
    {/each}
    <tr>
      <td class="call"
        ><SavingInput
          label={texts.newOperatorsCall}
          hideLabel
          placeholder={texts.newOperator}
          mono
          value={newOperator.callSign}
          saved={false}
          fault={station.saving.fault('operator-new', 'callSign')}
          onsave={(callSign) => (newOperator.callSign = callSign)}
        /></td
      >
      <td
        ><SavingInput
          label={texts.newOperatorsName}
          hideLabel
          value={newOperator.name}
          saved={false}
          onsave={(name) => (newOperator.name = name)}
        /></td
      >
      <td>{@render licence(newOperator.licence, (id) => (newOperator.licence = id))}</td>
      <td class="act"
        ><Button kind="tertiary" size="small" disabled={!newOperator.callSign} on:click={addOperator}
          >{texts.addOperator}</Button
        ></td
      >
    </tr>
  </tbody>
</table>

<style>
  table {
    max-width: 960px;
    margin: 4px 0 24px;
  }

  .call {
    width: 150px;
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
