<script lang="ts">
  import { Button, InlineLoading, TextInput } from 'carbon-components-svelte';
  import { Problem, type Rotor } from '../api/client';
  import type { RotorStore } from './rotors.svelte';

  let { rotors, rotor, onclose }: { rotors: RotorStore; rotor?: Rotor; onclose: () => void } = $props();

  const DEFAULT_BAUD = 9600;

  const start = () => rotor;
  let name = $state(start()?.name ?? '');
  let address = $state(start()?.address ?? '');
  let baud = $state(String(start()?.baud ?? DEFAULT_BAUD));
  let stop = $state(String(start()?.stopDegrees ?? 180));
  let travel = $state(String(start()?.travelDegrees ?? 360));
  let offset = $state(String(start()?.mountOffsetDegrees ?? 0));
  let problem = $state.raw<Problem | undefined>(undefined);
  let saving = $state(false);

  const serial = $derived(/^(\/|com\d)/i.test(address.trim()));
  const fault = (field: string) => problem?.fields.get(field) ?? '';

  async function save(event: Event) {
    event.preventDefault();
    saving = true;
    problem = undefined;
    try {
      await rotors.save(rotor?.id, {
        name,
        address,
        baud: serial ? Number(baud) : undefined,
        stopDegrees: Number(stop),
        travelDegrees: Number(travel),
        mountOffsetDegrees: Number(offset),
      });
      onclose();
    } catch (e) {
      problem = e instanceof Problem ? e : new Problem(String(e));
    } finally {
      saving = false;
    }
  }
</script>

<form class="card-form" onsubmit={save} aria-label={rotor ? `Set up ${rotor.name}` : 'Add a rotator'}>
  <h3>{rotor ? `Set up ${rotor.name}` : 'Add a rotator'}</h3>
  <TextInput
    size="sm"
    labelText="Name"
    bind:value={name}
    invalid={!!fault('name')}
    invalidText={fault('name')}
  />
  <TextInput
    size="sm"
    labelText="Serial port, or host and port"
    placeholder="/dev/ttyUSB1 or 127.0.0.1:7404"
    bind:value={address}
    invalid={!!fault('address')}
    invalidText={fault('address')}
  />
  {#if serial}
    <TextInput size="sm" labelText="Speed, baud" bind:value={baud} />
  {/if}
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
  <div class="card-act">
    <Button size="small" type="submit" disabled={saving}>{rotor ? 'Save' : 'Add and connect'}</Button>
    <Button size="small" kind="ghost" on:click={onclose}>Leave it</Button>
    {#if saving}<InlineLoading description="Saving…" />{/if}
  </div>
  {#if problem && problem.fields.size === 0}<p class="trouble" role="alert">{problem.message}</p>{/if}
</form>
