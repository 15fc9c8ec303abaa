<script lang="ts">
  import { Button, Checkbox, NumberInput, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import type { Net, NetDraft } from '../../platform/api/client';
  import { useStore } from '../../platform/page/stores';
  import { shortMegaHertz } from '../../platform/shared/format';
  import { NetStore } from './nets.svelte';
  import { texts } from './texts';

  let { net, onclose }: { net?: Net; onclose: () => void } = $props();

  const nets = useStore(NetStore);
  const WAYS = [
    { id: '', text: texts.byItsChannelIfKnown },
    { id: 'RPT', text: texts.throughARepeater },
    { id: 'ECH', text: texts.throughLinkedRepeaters },
    { id: 'INTERNET', text: texts.overTheInternet },
    { id: 'SAT', text: texts.throughASatellite },
  ] as const;

  function filled(from: Net | undefined) {
    return {
      name: from?.name ?? '',
      usualTimes: from?.usualTimes ?? '',
      frequency: from?.frequencyHz === undefined ? '' : shortMegaHertz(from.frequencyHz),
      mode: from?.mode ?? '',
      travels: from?.travels ?? '',
      netControl: from?.netControl ?? true,
      logs: from?.logs ?? true,
      identifyMinutes: from?.identifyMinutes ?? 10,
    };
  }

  // svelte-ignore state_referenced_locally
  let form = $state(filled(net));
  const key = $derived(`net-${net?.id ?? 'new'}`);
  const fault = (field: string) => nets.saving.fault(key, field);

  async function save(event: SubmitEvent) {
    event.preventDefault();
    const { travels, ...rest } = form;
    const draft: NetDraft = { ...rest, travels: (travels || undefined) as NetDraft['travels'] };
    if (await nets.save(net?.id, draft)) onclose();
  }

  async function remove() {
    if (net && (await nets.remove(net.id))) onclose();
  }
</script>

<form class="card-form" onsubmit={save} aria-label={net ? texts.settingsOfName(net.name) : texts.newNet}>
  <TextInput
    size="sm"
    labelText={texts.name}
    bind:value={form.name}
    invalid={!!fault('name')}
    invalidText={fault('name')}
  />
  <TextInput
    size="sm"
    labelText={texts.usualTimes}
    placeholder={texts.sundays1800Utc}
    bind:value={form.usualTimes}
    invalid={!!fault('usualTimes')}
    invalidText={fault('usualTimes')}
  />
  <TextInput
    size="sm"
    labelText={texts.frequencyMhz}
    placeholder="145.700"
    bind:value={form.frequency}
    invalid={!!fault('frequency')}
    invalidText={fault('frequency')}
  />
  <TextInput
    size="sm"
    labelText={texts.mode}
    placeholder="FM"
    bind:value={form.mode}
    invalid={!!fault('mode')}
    invalidText={fault('mode')}
  />
  <Select size="sm" labelText={texts.howItsContactsTravel} bind:selected={form.travels}>
    {#each WAYS as way (way.id)}<SelectItem value={way.id} text={way.text} />{/each}
  </Select>
  <NumberInput
    size="sm"
    labelText={texts.remindOfMyCallAfter}
    min={1}
    max={60}
    bind:value={form.identifyMinutes}
    invalid={!!fault('identifyMinutes')}
    invalidText={fault('identifyMinutes')}
  />
  <Checkbox labelText={texts.iAmNetControl} bind:checked={form.netControl} />
  <Checkbox
    labelText={form.netControl ? texts.logAllCheckInsAs : texts.logCheckInsMarkedAs}
    bind:checked={form.logs}
  />
  {#if nets.saving.faultOfWhole(key)}
    <p class="fault across" role="alert">{nets.saving.faultOfWhole(key)}</p>
  {/if}
  <div class="card-act">
    <Button type="submit" size="small">{texts.save}</Button>
    <Button kind="secondary" size="small" on:click={onclose}>{texts.cancel}</Button>
    {#if net}<Button kind="ghost" size="small" on:click={remove}>{texts.deleteNet}</Button>{/if}
  </div>
</form>
