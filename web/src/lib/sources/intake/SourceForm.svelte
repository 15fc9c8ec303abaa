<script lang="ts">
  import type { IntakeSource } from '../../platform/api/client';
  import DeviceForm from '../device/DeviceForm.svelte';
  import Field from '../device/Field.svelte';
  import SourceChoices, { type Choices } from './SourceChoices.svelte';
  import { IntakeStore } from './intake.svelte';
  import { StationStore } from '../../station/profile/station.svelte';
  import { RadioStore } from '../radio/radios.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  let { source, onclose }: { source: IntakeSource; onclose: () => void } = $props();
  const intake = useStore(IntakeStore);
  const station = useStore(StationStore);
  const radios = useStore(RadioStore);

  const start = () => source;
  let name = $state(start().name);
  let choices = $state<Choices>({
    ownCalls: start().ownCalls.join(', '),
    placeId: String(start().placeId ?? 0),
    radioId: String(start().radioId ?? 0),
    operatorCall: start().operatorCall ?? '',
    holdDeliveries: start().holdDeliveries,
    lookUp: start().lookUp,
  });
</script>

<DeviceForm
  title={texts.setUpName(source.name)}
  fresh={false}
  kind={source.builtIn ? undefined : source.kind === 'FILE' ? 'file' : 'port'}
  onsave={() =>
    intake.change(source.id, {
      name,
      ...choices,
      placeId: Number(choices.placeId),
      radioId: Number(choices.radioId),
    })}
  onremove={() => intake.remove(source.id)}
  {onclose}
>
  {#snippet children(fault)}
    <Field label={texts.name} bind:value={name} fault={fault('name')} />
    <div class="across">
      <SourceChoices bind:choices places={station.view?.places ?? []} radios={radios.all} {fault} />
    </div>
  {/snippet}
</DeviceForm>
