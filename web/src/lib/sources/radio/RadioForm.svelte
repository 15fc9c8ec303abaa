<script lang="ts">
  import { Checkbox, Select, SelectItem } from 'carbon-components-svelte';
  import {
    api,
    got,
    type Finding,
    type Radio,
    type RadioChoices,
    type Rotor,
  } from '../../platform/api/client';
  import { isSerial } from '../device/address';
  import DeviceAddress from '../device/DeviceAddress.svelte';
  import DeviceForm from '../device/DeviceForm.svelte';
  import Field from '../device/Field.svelte';
  import type { SearchStore } from '../search/search.svelte';
  import type { RadioStore } from './radios.svelte';

  let {
    radios,
    search,
    radio,
    rotors = [],
    onclose,
  }: {
    radios: RadioStore;
    search: SearchStore;
    radio?: Radio;
    rotors?: Rotor[];
    onclose: () => void;
  } = $props();

  const DEFAULT_BAUD = 38_400;

  // The form starts from what is stored and is its own from then on.
  const start = () => radio;
  let name = $state(start()?.name ?? '');
  let dialect = $state(start()?.dialect ?? 'semicolon');
  let address = $state(start()?.address ?? '');
  let baud = $state(String(start()?.baud ?? DEFAULT_BAUD));
  let bus = $state(String(start()?.bus ?? 0));
  let fullPowerW = $state(String(start()?.fullPowerW ?? 100));
  let sharePort = $state(String(start()?.sharePort ?? ''));
  let shareTransmit = $state(start()?.shareTransmit ?? false);
  let keyingLimitS = $state(String(start()?.keyingLimitS ?? 180));
  let rotorId = $state(String(start()?.rotorId ?? 0));
  let lowerSidebandKeyed = $state(start()?.lowerSidebandKeyed ?? false);
  let dialects = $state.raw<RadioChoices['dialects']>([]);

  const spoken = $derived(dialects.find((d) => d.id === dialect));

  $effect(() => {
    got(api.GET('/api/radios/choices')).then(
      (choices) => (dialects = choices.dialects),
      () => (dialects = []),
    );
  });

  function found(finding: Finding) {
    dialect = finding.dialect ?? dialect;
    bus = String(finding.bus);
  }

  const save = () =>
    radios.save(radio?.id, {
      name,
      dialect,
      address,
      baud: isSerial(address) ? Number(baud) : undefined,
      bus: Number(bus),
      fullPowerW: Number(fullPowerW),
      pollEveryMs: radio?.pollEveryMs,
      lowerSidebandKeyed,
      sharePort: radio ? Number(sharePort) || 0 : undefined,
      shareTransmit: radio ? shareTransmit : undefined,
      keyingLimitS: radio ? Number(keyingLimitS) : undefined,
      rotorId: Number(rotorId),
    });
</script>

<DeviceForm
  title={radio ? `Set up ${radio.name}` : 'Add a radio'}
  fresh={!radio}
  kind="radio"
  onsave={save}
  onremove={() => (radio ? radios.remove(radio.id) : Promise.resolve())}
  {onclose}
>
  {#snippet children(fault)}
    <Field label="Name" bind:value={name} fault={fault('name')} />
    <Select size="sm" labelText="It speaks" bind:selected={dialect}>
      {#each dialects as choice (choice.id)}
        <SelectItem value={choice.id} text={choice.words} />
      {/each}
    </Select>
    <DeviceAddress
      bind:address
      bind:baud
      speeds={spoken?.bauds ?? []}
      want="RADIO"
      placeholder="/dev/ttyUSB0 or 127.0.0.1:7402"
      {search}
      fault={fault('address')}
      onfound={found}
    />
    {#if spoken?.bus}
      <Field label="Address on the bus, 1 to 223" bind:value={bus} fault={fault('bus')} />
    {/if}
    <Field label="Full power, W" bind:value={fullPowerW} fault={fault('fullPowerW')} />
    {#if rotors.length > 1}
      <Select size="sm" labelText="Its antenna is turned by" bind:selected={rotorId}>
        <SelectItem value="0" text="The first rotator that can" />
        {#each rotors as rotor (rotor.id)}
          <SelectItem value={String(rotor.id)} text={rotor.name} />
        {/each}
      </Select>
    {/if}
    {#if radio}
      <Field
        label="Shared on port"
        bind:value={sharePort}
        fault={fault('sharePort')}
        helper="Empty for not sharing it"
      />
      <Field
        label="Longest transmission, s"
        bind:value={keyingLimitS}
        fault={fault('keyingLimitS')}
        helper="For programs at that port, 5 to 1800"
      />
      <div class="across">
        <Checkbox bind:checked={shareTransmit} labelText="Programs at that port may transmit" />
      </div>
    {/if}
    <div class="across">
      <Checkbox
        bind:checked={lowerSidebandKeyed}
        labelText="Radioteletype is keyed by sound on lower sideband"
      />
    </div>
  {/snippet}
</DeviceForm>
