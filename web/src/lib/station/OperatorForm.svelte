<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { StationView } from '../api/client';
  import SavingInput from './SavingInput.svelte';
  import type { StationStore } from './station.svelte';

  let { operator, station }: { operator?: StationView['operators'][number]; station: StationStore } =
    $props();

  const key = $derived(`operator-${operator?.id ?? 'new'}`);
  const saved = $derived(!!operator && station.saved?.key === key && !station.saved.problem);
  let newCall = $state('');
  let newName = $state('');

  async function add() {
    if (await station.saveOperator(undefined, newCall, newName)) {
      newCall = '';
      newName = '';
    }
  }
</script>

{#if operator}
  <div class="row">
    <SavingInput
      label="Call"
      mono
      value={operator.callSign}
      {saved}
      fault={station.fault(key, 'callSign')}
      onsave={(call) => station.saveOperator(operator.id, call, operator.name ?? '')}
    />
    <SavingInput
      label="Name"
      value={operator.name ?? ''}
      {saved}
      onsave={(name) => station.saveOperator(operator.id, operator.callSign, name)}
    />
  </div>
{:else}
  <div class="row">
    <SavingInput
      label="New operator's call"
      mono
      value={newCall}
      saved={false}
      fault={station.fault(key, 'callSign')}
      onsave={(call) => (newCall = call)}
    />
    <SavingInput label="Name" value={newName} saved={false} onsave={(name) => (newName = name)} />
    <Button kind="tertiary" size="small" disabled={!newCall} on:click={add}>Add operator</Button>
  </div>
{/if}

<style>
  .row {
    display: grid;
    grid-template-columns: 160px 240px auto;
    gap: 12px;
    align-items: end;
    justify-content: start;
  }
</style>
