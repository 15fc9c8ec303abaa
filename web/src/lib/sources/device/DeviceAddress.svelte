<script lang="ts">
  import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { api, got, type Finding, type RadioChoices } from '../../platform/api/client';
  import type { SearchStore } from '../search/search.svelte';
  import Finder from '../search/Finder.svelte';
  import { isSerial } from './address';
  import { texts } from './texts';

  /** Where a device is: typed, chosen from the ports that are there, or found by trying. */
  let {
    address = $bindable(),
    baud = $bindable(),
    speeds,
    want,
    placeholder,
    search,
    fault,
    onfound,
  }: {
    address: string;
    baud: string;
    speeds: number[];
    want: 'RADIO' | 'ROTATOR';
    placeholder: string;
    search: SearchStore;
    fault: string;
    onfound: (finding: Finding) => void;
  } = $props();

  let ports = $state.raw<RadioChoices['serialPorts']>([]);
  let finding = $state(false);

  const serial = $derived(isSerial(address));

  $effect(() => {
    got(api.GET('/api/radios/choices')).then(
      (choices) => (ports = choices.serialPorts),
      () => (ports = []),
    );
  });

  function find() {
    finding = true;
    void search.start(address.trim() ? [address.trim()] : []);
  }

  function use(found: Finding) {
    address = found.address;
    baud = String(found.baud ?? baud);
    finding = false;
    onfound(found);
  }
</script>

<div class="across">
  <div class="line">
    <TextInput
      size="sm"
      labelText={texts.serialPortOrHostAnd}
      {placeholder}
      bind:value={address}
      invalid={!!fault}
      invalidText={fault}
    />
    <Button size="small" kind="tertiary" on:click={find}>
      {address.trim() ? texts.findOutWhatIsThere : texts.searchAllPorts}
    </Button>
  </div>
  {#if ports.length > 0}
    <p class="ports">
      <span class="muted">{texts.serialPortsHere}</span>
      {#each ports as port (port.path)}
        <button type="button" class="mono" title={port.description} onclick={() => (address = port.path)}
          >{port.path}</button
        >
      {/each}
    </p>
  {/if}
  {#if finding}<Finder {search} {want} onuse={use} />{/if}
</div>
{#if serial}
  <Select size="sm" labelText={texts.speedBaud} bind:selected={baud}>
    {#each speeds as speed (speed)}
      <SelectItem value={String(speed)} text={String(speed)} />
    {/each}
  </Select>
{/if}

<style>
  .line {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 8px;
    align-items: start;
  }

  .line :global(.bx--btn) {
    margin-top: 20px;
  }

  /* Above the button there is room for it. */
  .line :global(.bx--label) {
    white-space: nowrap;
  }

  .ports {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-top: 4px;
    font-size: 12px;
  }

  .ports button {
    padding: 0;
    border: 0;
    background: none;
    color: var(--yb-accent);
    cursor: pointer;
  }
</style>
