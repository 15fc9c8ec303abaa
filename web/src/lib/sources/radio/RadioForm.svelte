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
  import { texts } from './texts';

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
  let sendTexts = $state(start()?.sendTexts ?? false);
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
      sendTexts: radio ? sendTexts : undefined,
      keyingLimitS: radio ? Number(keyingLimitS) : undefined,
      rotorId: Number(rotorId),
    });
</script>

<DeviceForm
  title={radio ? texts.setUpName(radio.name) : texts.addARadio}
  fresh={!radio}
  kind="radio"
  onsave={save}
  onremove={() => (radio ? radios.remove(radio.id) : Promise.resolve())}
  {onclose}
>
  {#snippet children(fault)}
    <Field label={texts.name} bind:value={name} fault={fault('name')} />
    <Select size="sm" labelText={texts.itSpeaks} bind:selected={dialect}>
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
      <Field label={texts.addressOnTheBus1} bind:value={bus} fault={fault('bus')} />
    {/if}
    <Field label={texts.fullPowerW} bind:value={fullPowerW} fault={fault('fullPowerW')} />
    {#if rotors.length > 1}
      <Select size="sm" labelText={texts.itsAntennaIsTurnedBy} bind:selected={rotorId}>
        <SelectItem value="0" text={texts.theFirstRotatorThatCan} />
        {#each rotors as rotor (rotor.id)}
          <SelectItem value={String(rotor.id)} text={rotor.name} />
        {/each}
      </Select>
    {/if}
    {#if radio}
      <Field
        label={texts.sharedOnPort}
        bind:value={sharePort}
        fault={fault('sharePort')}
        helper={texts.emptyForNotSharingIt}
      />
      <Field
        label={texts.longestTransmissionS}
        bind:value={keyingLimitS}
        fault={fault('keyingLimitS')}
        helper={texts.forProgramsAtThatPort}
      />
      <div class="across">
        <Checkbox bind:checked={shareTransmit} labelText={texts.programsAtThatPortMay} />
      </div>
      <div class="across">
        <Checkbox bind:checked={sendTexts} labelText={texts.textsMayBeSent} />
      </div>
    {/if}
    <div class="across">
      <Checkbox bind:checked={lowerSidebandKeyed} labelText={texts.radioteletypeIsKeyedBySound} />
    </div>
  {/snippet}
</DeviceForm>
