<script lang="ts">
  import { Button, Select, SelectItem } from 'carbon-components-svelte';
  import type { OperatorView, StationView } from '../../platform/api/client';
  import SavedMark from '../../platform/shared/SavedMark.svelte';
  import SavingInput from '../../platform/shared/SavingInput.svelte';
  import type { StationStore } from './station.svelte';

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
    labelText="Licence"
    hideLabel
    {selected}
    on:update={(event) => choose(String(event.detail))}
  >
    <SelectItem value="" text="not watched" />
    {#each view.licences as choice (choice.id)}
      <SelectItem value={choice.id} text={choice.name} />
    {/each}
  </Select>
{/snippet}

<h2>Operators</h2>
<p class="muted">
  With a licence chosen, the Desk warns when the radio is set to a frequency it does not allow.
  {#if view.licencesProblem}<span class="trouble">{view.licencesProblem}</span>{/if}
</p>
<table class="list form">
  <thead>
    <tr><th>Call</th><th>Name</th><th>Licence</th><th><span class="visually-hidden">Act</span></th></tr>
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
            label="Operator's call"
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
            label="Operator's name"
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
          label="New operator's call"
          hideLabel
          placeholder="new operator"
          mono
          value={newOperator.callSign}
          saved={false}
          fault={station.saving.fault('operator-new', 'callSign')}
          onsave={(callSign) => (newOperator.callSign = callSign)}
        /></td
      >
      <td
        ><SavingInput
          label="New operator's name"
          hideLabel
          value={newOperator.name}
          saved={false}
          onsave={(name) => (newOperator.name = name)}
        /></td
      >
      <td>{@render licence(newOperator.licence, (id) => (newOperator.licence = id))}</td>
      <td class="act"
        ><Button kind="tertiary" size="small" disabled={!newOperator.callSign} on:click={addOperator}
          >Add operator</Button
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
