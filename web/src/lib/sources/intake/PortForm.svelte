<script lang="ts">
  import { Select, SelectItem } from 'carbon-components-svelte';
  import DeviceForm from '../device/DeviceForm.svelte';
  import Field from '../device/Field.svelte';
  import SourceChoices, { type Choices } from './SourceChoices.svelte';
  import { IntakeStore } from './intake.svelte';
  import { StationStore } from '../../station/profile/station.svelte';
  import { RadioStore } from '../radio/radios.svelte';
  import { useStore } from '../../platform/page/stores';

  let { onclose }: { onclose: () => void } = $props();
  const intake = useStore(IntakeStore);
  const station = useStore(StationStore);
  const radios = useStore(RadioStore);

  let kind = $state<'DATAGRAMS' | 'STREAM'>('DATAGRAMS');
  let port = $state('');
  let choices = $state<Choices>({
    ownCalls: '',
    placeId: '0',
    radioId: '0',
    operatorCall: '',
    holdDeliveries: false,
    lookUp: true,
  });
</script>

<DeviceForm
  title="Listen on a port"
  fresh
  kind="port"
  onsave={() =>
    intake.listen(kind, Number(port) || 0, {
      ...choices,
      placeId: Number(choices.placeId),
      radioId: Number(choices.radioId),
    })}
  onremove={() => Promise.resolve()}
  {onclose}
>
  {#snippet children(fault)}
    <Select size="sm" labelText="Programs send" bind:selected={kind}>
      <SelectItem value="DATAGRAMS" text="ADIF datagrams (UDP)" />
      <SelectItem value="STREAM" text="an ADIF stream (TCP)" />
    </Select>
    <Field label="Port" bind:value={port} fault={fault('port')} placeholder="7390" />
    <div class="across">
      <SourceChoices bind:choices places={station.view?.places ?? []} radios={radios.all} {fault} />
    </div>
  {/snippet}
</DeviceForm>
