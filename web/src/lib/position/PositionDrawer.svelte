<script lang="ts">
  import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import type { AppState } from '../frame/app.svelte';
  import Drawer from '../shared/Drawer.svelte';
  import PositionFields from './PositionFields.svelte';

  let { app }: { app: AppState } = $props();

  const here = $derived(app.positions.here);
  let fresh = $state('');

  async function add() {
    if (await app.positions.save(undefined, { name: fresh })) {
      const made = app.positions.all.find((p) => p.name === fresh.trim());
      fresh = '';
      if (made) {
        await app.positions.sitDown(made.id);
      }
    }
  }
</script>

<Drawer
  label="Position"
  title="Where you are"
  subtitle="What contacts made here are logged with"
  onclose={() => app.close()}
>
  {#if here}
    <div class="stack">
      <Select
        size="sm"
        labelText="This browser is at"
        selected={here.id}
        on:update={(event) => app.positions.sitDown(Number(event.detail))}
      >
        {#each app.positions.all as position (position.id)}
          <SelectItem value={position.id} text={position.name} />
        {/each}
      </Select>
      <PositionFields {app} position={here} />
      <p class="muted">
        Another browser can be at another position with its own radio. Contacts that programs send go to the
        position of the radio they were made on.
      </p>
      <form
        onsubmit={(event) => {
          event.preventDefault();
          void add();
        }}
      >
        <TextInput
          size="sm"
          labelText="New position"
          placeholder="Tablet"
          bind:value={fresh}
          invalid={!!app.positions.saving.fault('position-new')}
          invalidText={app.positions.saving.fault('position-new')}
        />
        <Button size="small" kind="tertiary" type="submit" disabled={!fresh.trim()}>Add and sit down</Button>
      </form>
    </div>
  {:else if app.positions.problem}
    <p class="trouble" role="alert">{app.positions.problem}</p>
  {:else}
    <p class="muted">Reading the positions…</p>
  {/if}
</Drawer>

<style>
  .stack {
    display: flex;
    flex-direction: column;
    gap: 16px;
  }

  form {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 8px;
    align-items: end;
  }
</style>
