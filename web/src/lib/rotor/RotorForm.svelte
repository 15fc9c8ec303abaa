<script lang="ts">
  import { TextArea, TextInput } from 'carbon-components-svelte';
  import type { Rotor } from '../api/client';
  import { isSerial } from '../devices/address';
  import DeviceAddress from '../devices/DeviceAddress.svelte';
  import DeviceForm from '../devices/DeviceForm.svelte';
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
      <TextInput
        size="sm"
        labelText="Name"
        bind:value={name}
        invalid={!!fault('name')}
        invalidText={fault('name')}
      />
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
    <TextInput
      size="sm"
      labelText="Stop at, degrees"
      helperText="The end it reaches turning anticlockwise"
      bind:value={stop}
      invalid={!!fault('stopDegrees')}
      invalidText={fault('stopDegrees')}
    />
    <TextInput
      size="sm"
      labelText="Turns through, degrees"
      helperText="More than 360 if it overlaps"
      bind:value={travel}
      invalid={!!fault('travelDegrees')}
      invalidText={fault('travelDegrees')}
    />
    <TextInput
      size="sm"
      labelText="Mounted askew by, degrees"
      helperText="Added to its angle to get the heading"
      bind:value={offset}
      invalid={!!fault('mountOffsetDegrees')}
      invalidText={fault('mountOffsetDegrees')}
    />
    <TextInput
      size="sm"
      labelText="Never point to, degrees"
      placeholder="170-190, 300-310"
      helperText="Dead zones, clockwise"
      bind:value={deadZones}
      invalid={!!fault('deadZones')}
      invalidText={fault('deadZones')}
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
