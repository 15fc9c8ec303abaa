<script lang="ts">
  import { Button, Checkbox, NumberInput, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import type { Net, NetDraft } from '../../platform/api/client';
  import { useStore } from '../../platform/page/stores';
  import { shortMegaHertz } from '../../platform/shared/format';
  import { NetStore } from './nets.svelte';

  let { net, onclose }: { net?: Net; onclose: () => void } = $props();

  const nets = useStore(NetStore);
  const WAYS = [
    { id: '', text: 'by its channel, if known' },
    { id: 'RPT', text: 'through a repeater' },
    { id: 'ECH', text: 'through linked repeaters' },
    { id: 'INTERNET', text: 'over the internet' },
    { id: 'SAT', text: 'through a satellite' },
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

<form class="card-form" onsubmit={save} aria-label={net ? `Settings of ${net.name}` : 'New net'}>
  <TextInput
    size="sm"
    labelText="Name"
    bind:value={form.name}
    invalid={!!fault('name')}
    invalidText={fault('name')}
  />
  <TextInput
    size="sm"
    labelText="Usual times"
    placeholder="Sundays 18:00 UTC"
    bind:value={form.usualTimes}
    invalid={!!fault('usualTimes')}
    invalidText={fault('usualTimes')}
  />
  <TextInput
    size="sm"
    labelText="Frequency (MHz)"
    placeholder="145.700"
    bind:value={form.frequency}
    invalid={!!fault('frequency')}
    invalidText={fault('frequency')}
  />
  <TextInput
    size="sm"
    labelText="Mode"
    placeholder="FM"
    bind:value={form.mode}
    invalid={!!fault('mode')}
    invalidText={fault('mode')}
  />
  <Select size="sm" labelText="How its contacts travel" bind:selected={form.travels}>
    {#each WAYS as way (way.id)}<SelectItem value={way.id} text={way.text} />{/each}
  </Select>
  <NumberInput
    size="sm"
    labelText="Remind of my call after (min)"
    min={1}
    max={60}
    bind:value={form.identifyMinutes}
    invalid={!!fault('identifyMinutes')}
    invalidText={fault('identifyMinutes')}
  />
  <Checkbox labelText="I am net control" bind:checked={form.netControl} />
  <Checkbox
    labelText={form.netControl
      ? 'Log all check-ins as contacts'
      : 'Log check-ins marked as worked as contacts'}
    bind:checked={form.logs}
  />
  {#if nets.saving.faultOfWhole(key)}
    <p class="fault across" role="alert">{nets.saving.faultOfWhole(key)}</p>
  {/if}
  <div class="card-act">
    <Button type="submit" size="small">Save</Button>
    <Button kind="secondary" size="small" on:click={onclose}>Cancel</Button>
    {#if net}<Button kind="ghost" size="small" on:click={remove}>Delete net</Button>{/if}
  </div>
</form>
