<script lang="ts">
  import { Button, InlineLoading, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { api, got, Problem, type Radio, type RadioChoices } from '../api/client';
  import type { RadioStore } from './radios.svelte';

  let { radios, radio, onclose }: { radios: RadioStore; radio?: Radio; onclose: () => void } = $props();

  const DEFAULT_BAUD = 38_400;

  // The form starts from what is stored and is its own from then on.
  const start = () => radio;
  let name = $state(start()?.name ?? '');
  let dialect = $state(start()?.dialect ?? 'semicolon');
  let address = $state(start()?.address ?? '');
  let baud = $state(String(start()?.baud ?? DEFAULT_BAUD));
  let bus = $state(String(start()?.bus ?? 0));
  let fullPowerW = $state(String(start()?.fullPowerW ?? 100));
  let choices = $state.raw<RadioChoices | undefined>(undefined);
  let problem = $state.raw<Problem | undefined>(undefined);
  let saving = $state(false);

  const serial = $derived(/^(\/|com\d)/i.test(address.trim()));
  const shared = $derived(choices?.dialects.find((d) => d.id === dialect)?.bus ?? false);
  const speeds = $derived(choices?.dialects.find((d) => d.id === dialect)?.bauds ?? []);

  $effect(() => {
    got(api.GET('/api/radios/choices')).then(
      (read) => (choices = read),
      (e) => (problem = e instanceof Problem ? e : new Problem(String(e))),
    );
  });

  const fault = (field: string) => problem?.fields.get(field) ?? '';

  async function save(event: Event) {
    event.preventDefault();
    saving = true;
    problem = undefined;
    try {
      await radios.save(radio?.id, {
        name,
        dialect,
        address,
        baud: serial ? Number(baud) : undefined,
        bus: Number(bus),
        fullPowerW: Number(fullPowerW),
        pollEveryMs: radio?.pollEveryMs,
        lowerSidebandKeyed: radio?.lowerSidebandKeyed,
      });
      onclose();
    } catch (e) {
      problem = e instanceof Problem ? e : new Problem(String(e));
    } finally {
      saving = false;
    }
  }
</script>

<form class="card-form" onsubmit={save} aria-label={radio ? `Set up ${radio.name}` : 'Add a radio'}>
  <h3>{radio ? `Set up ${radio.name}` : 'Add a radio'}</h3>
  <TextInput
    size="sm"
    labelText="Name"
    bind:value={name}
    invalid={!!fault('name')}
    invalidText={fault('name')}
  />
  <Select size="sm" labelText="It speaks" bind:selected={dialect}>
    {#each choices?.dialects ?? [] as choice (choice.id)}
      <SelectItem value={choice.id} text={choice.words} />
    {/each}
  </Select>
  <div class="wide">
    <TextInput
      size="sm"
      labelText="Serial port, or host and port"
      placeholder="/dev/ttyUSB0 or 127.0.0.1:7402"
      bind:value={address}
      invalid={!!fault('address')}
      invalidText={fault('address')}
    />
    {#if choices && choices.serialPorts.length > 0}
      <p class="ports">
        <span class="muted">Serial ports here:</span>
        {#each choices.serialPorts as port (port.path)}
          <button type="button" class="mono" title={port.description} onclick={() => (address = port.path)}
            >{port.path}</button
          >
        {/each}
      </p>
    {/if}
  </div>
  {#if serial}
    <Select size="sm" labelText="Speed, baud" bind:selected={baud}>
      {#each speeds as speed (speed)}
        <SelectItem value={String(speed)} text={String(speed)} />
      {/each}
    </Select>
  {/if}
  {#if shared}
    <TextInput
      size="sm"
      labelText="Address on the bus, 1 to 223"
      bind:value={bus}
      invalid={!!fault('bus')}
      invalidText={fault('bus')}
    />
  {/if}
  <TextInput
    size="sm"
    labelText="Full power, W"
    bind:value={fullPowerW}
    invalid={!!fault('fullPowerW')}
    invalidText={fault('fullPowerW')}
  />
  <div class="card-act">
    <Button size="small" type="submit" disabled={saving}>{radio ? 'Save' : 'Add and connect'}</Button>
    <Button size="small" kind="ghost" on:click={onclose}>Leave it</Button>
    {#if radio}
      <Button
        size="small"
        kind="danger-ghost"
        on:click={async () => {
          await radios.remove(radio.id);
          onclose();
        }}>Remove this radio</Button
      >
    {/if}
    {#if saving}<InlineLoading description="Saving…" />{/if}
  </div>
  {#if problem && problem.fields.size === 0}<p class="trouble wide" role="alert">{problem.message}</p>{/if}
</form>

<style>
  .wide {
    grid-column: 1 / -1;
  }

  .ports {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-top: 4px;
    font-size: 12px;
  }

  .ports button {
    padding: 0;
    border: 0;
    background: none;
    color: var(--yb-accent);
    cursor: pointer;
  }
</style>
