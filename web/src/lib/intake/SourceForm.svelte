<script lang="ts">
  import type { IntakeSource } from '../api/client';
  import DeviceForm from '../devices/DeviceForm.svelte';
  import Field from '../devices/Field.svelte';
  import type { AppState } from '../frame/app.svelte';
  import SourceChoices, { type Choices } from './SourceChoices.svelte';

  let { app, source, onclose }: { app: AppState; source: IntakeSource; onclose: () => void } = $props();

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
  title={`Set up ${source.name}`}
  fresh={false}
  kind={source.builtIn ? undefined : source.kind === 'FILE' ? 'file' : 'port'}
  onsave={() =>
    app.intake.change(source.id, {
      name,
      ...choices,
      placeId: Number(choices.placeId),
      radioId: Number(choices.radioId),
    })}
  onremove={() => app.intake.remove(source.id)}
  {onclose}
>
  {#snippet children(fault)}
    <Field label="Name" bind:value={name} fault={fault('name')} />
    <div class="across">
      <SourceChoices bind:choices places={app.station.view?.places ?? []} radios={app.radios.all} {fault} />
    </div>
  {/snippet}
</DeviceForm>
