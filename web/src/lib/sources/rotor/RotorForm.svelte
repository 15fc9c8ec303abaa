<script lang="ts">
  import { TextArea } from 'carbon-components-svelte';
  import type { Rotor } from '../../platform/api/client';
  import { isSerial } from '../device/address';
  import DeviceAddress from '../device/DeviceAddress.svelte';
  import DeviceForm from '../device/DeviceForm.svelte';
  import Field from '../device/Field.svelte';
  import type { SearchStore } from '../search/search.svelte';
  import type { RotorStore } from './rotors.svelte';
  import { texts } from './texts';

  let {
    rotors,
    search,
    rotor,
    onclose,
  }: { rotors: RotorStore; search: SearchStore; rotor?: Rotor; onclose: () => void } = $props();

  const SPEEDS = [9600, 4800, 19_200, 1200, 600];

  const start = () => rotor;
  let name = $state(start()?.name ?? '');
  let address = $state(start()?.address ?? '');
  let baud = $state(String(start()?.baud ?? SPEEDS[0]));
  let stop = $state(String(start()?.stopDegrees ?? 180));
  let travel = $state(String(start()?.travelDegrees ?? 360));
  let offset = $state(String(start()?.mountOffsetDegrees ?? 0));
  let tolerance = $state(String(start()?.toleranceDegrees ?? 3));
  let deadZones = $state(start()?.deadZones ?? '');
  let presets = $state((start()?.presets ?? []).map((p) => `${p.headingDegrees} ${p.name}`).join('\n'));

  const save = () =>
    rotors.save(rotor?.id, {
      name,
      address,
      baud: isSerial(address) ? Number(baud) : undefined,
      stopDegrees: Number(stop),
      travelDegrees: Number(travel),
      mountOffsetDegrees: Number(offset),
      toleranceDegrees: Number(tolerance),
      deadZones,
      presets,
    });
</script>

<DeviceForm
  title={rotor ? texts.setUpName(rotor.name) : texts.addARotator}
  fresh={!rotor}
  kind="rotator"
  onsave={save}
  onremove={() => (rotor ? rotors.remove(rotor.id) : Promise.resolve())}
  {onclose}
>
  {#snippet children(fault)}
    <div class="across">
      <Field label={texts.name} bind:value={name} fault={fault('name')} />
    </div>
    <DeviceAddress
      bind:address
      bind:baud
      speeds={SPEEDS}
      want="ROTATOR"
      placeholder="/dev/ttyUSB1 or 127.0.0.1:7404"
      {search}
      fault={fault('address')}
      onfound={() => {}}
    />
    <Field
      label={texts.stopAtDegrees}
      bind:value={stop}
      fault={fault('stopDegrees')}
      helper={texts.theEndItReachesTurning}
    />
    <Field
      label={texts.turnsThroughDegrees}
      bind:value={travel}
      fault={fault('travelDegrees')}
      helper={texts.moreThan360IfIt}
    />
    <Field
      label={texts.mountedAskewByDegrees}
      bind:value={offset}
      fault={fault('mountOffsetDegrees')}
      helper={texts.addedToItsAngleTo}
    />
    <Field label={texts.itMayRestSoFar} bind:value={tolerance} fault={fault('toleranceDegrees')} />
    <Field
      label={texts.neverPointToDegrees}
      bind:value={deadZones}
      fault={fault('deadZones')}
      helper={texts.deadZonesClockwise}
      placeholder="170-190, 300-310"
    />
    <div class="across">
      <TextArea
        rows={4}
        labelText={texts.headingsWithANameOne}
        placeholder={texts.exampleHeading}
        bind:value={presets}
        invalid={!!fault('presets')}
        invalidText={fault('presets')}
      />
    </div>
  {/snippet}
</DeviceForm>
