<script lang="ts">
  import { TextArea } from 'carbon-components-svelte';
  import type { Rotor } from '../../platform/api/client';
  import { isSerial } from '../device/address';
  import DeviceAddress from '../device/DeviceAddress.svelte';
  import DeviceForm from '../device/DeviceForm.svelte';
  import Field from '../device/Field.svelte';
  import type { SearchStore } from '../search/search.svelte';
  import type { RotorStore } from './rotors.svelte';

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
  title={rotor ? `Set up ${rotor.name}` : 'Add a rotator'}
  fresh={!rotor}
  kind="rotator"
  onsave={save}
  onremove={() => (rotor ? rotors.remove(rotor.id) : Promise.resolve())}
  {onclose}
>
  {#snippet children(fault)}
    <div class="across">
      <Field label="Name" bind:value={name} fault={fault('name')} />
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
      label="Stop at, degrees"
      bind:value={stop}
      fault={fault('stopDegrees')}
      helper="The end it reaches turning anticlockwise"
    />
    <Field
      label="Turns through, degrees"
      bind:value={travel}
      fault={fault('travelDegrees')}
      helper="More than 360 if it overlaps"
    />
    <Field
      label="Mounted askew by, degrees"
      bind:value={offset}
      fault={fault('mountOffsetDegrees')}
      helper="Added to its angle to get the heading"
    />
    <Field
      label="It may rest so far from its target (°)"
      bind:value={tolerance}
      fault={fault('toleranceDegrees')}
    />
    <Field
      label="Never point to, degrees"
      bind:value={deadZones}
      fault={fault('deadZones')}
      helper="Dead zones, clockwise"
      placeholder="170-190, 300-310"
    />
    <div class="across">
      <TextArea
        rows={4}
        labelText="Headings with a name, one a line"
        placeholder="45 Europe"
        bind:value={presets}
        invalid={!!fault('presets')}
        invalidText={fault('presets')}
      />
    </div>
  {/snippet}
</DeviceForm>
