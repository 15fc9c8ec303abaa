<script lang="ts">
  import { Select, SelectItem } from 'carbon-components-svelte';
  import DeviceForm from '../device/DeviceForm.svelte';
  import Field from '../device/Field.svelte';
  import SourceChoices, { type Choices } from './SourceChoices.svelte';
  import { IntakeStore } from './intake.svelte';
  import { StationStore } from '../../station/profile/station.svelte';
  import { RadioStore } from '../radio/radios.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

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
  title={texts.listenOnAPort}
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
    <Select size="sm" labelText={texts.programsSend} bind:selected={kind}>
      <SelectItem value="DATAGRAMS" text={texts.adifDatagramsUdp} />
      <SelectItem value="STREAM" text={texts.anAdifStreamTcp} />
    </Select>
    <Field label={texts.port} bind:value={port} fault={fault('port')} placeholder="7390" />
    <div class="across">
      <SourceChoices bind:choices places={station.view?.places ?? []} radios={radios.all} {fault} />
    </div>
  {/snippet}
</DeviceForm>
