<script lang="ts">
  import { Checkbox } from 'carbon-components-svelte';
  import type { TextProgram } from '../../platform/api/client';
  import DeviceForm from '../device/DeviceForm.svelte';
  import Field from '../device/Field.svelte';
  import type { TextProgramStore } from './programs.svelte';
  import { texts } from './texts';

  let {
    programs,
    program,
    onclose,
  }: { programs: TextProgramStore; program?: TextProgram; onclose: () => void } = $props();

  const start = () => program;
  let name = $state(start()?.name ?? '');
  let address = $state(start()?.address ?? '');
  let sendTexts = $state(start()?.sendTexts ?? false);
</script>

<DeviceForm
  title={program ? texts.setUpName(program.name) : texts.addADecoder}
  fresh={!program}
  kind="decoder"
  onsave={() => programs.save(program?.id, { name, address, sendTexts })}
  onremove={() => (program ? programs.remove(program.id) : Promise.resolve())}
  {onclose}
>
  {#snippet children(fault)}
    <Field label={texts.name} bind:value={name} fault={fault('name')} />
    <Field
      label={texts.address}
      bind:value={address}
      fault={fault('address')}
      helper={texts.hostAndPort}
      placeholder="127.0.0.1:7415"
    />
    <div class="across">
      <Checkbox bind:checked={sendTexts} labelText={texts.itMaySend} />
    </div>
  {/snippet}
</DeviceForm>
