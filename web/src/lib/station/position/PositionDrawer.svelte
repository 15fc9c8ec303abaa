<script lang="ts">
  import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import Drawer from '../../platform/shared/Drawer.svelte';
  import PositionFields from './PositionFields.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { PositionStore } from './positions.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const navigation = useStore(Navigation);
  const positions = useStore(PositionStore);

  const here = $derived(positions.here);
  let fresh = $state('');

  async function add() {
    if (await positions.save(undefined, { name: fresh })) {
      const made = positions.all.find((p) => p.name === fresh.trim());
      fresh = '';
      if (made) {
        await positions.sitDown(made.id);
      }
    }
  }
</script>

<Drawer
  label={texts.position}
  title={texts.whereYouAre}
  subtitle={texts.whatContactsMadeHereAre}
  onclose={() => navigation.close()}
>
  {#if here}
    <div class="stack">
      <Select
        size="sm"
        labelText={texts.thisBrowserIsAt}
        selected={here.id}
        on:update={(event) => positions.sitDown(Number(event.detail))}
      >
        {#each positions.all as position (position.id)}
          <SelectItem value={position.id} text={position.name} />
        {/each}
      </Select>
      <PositionFields position={here} />
      <p class="muted">
        {texts.anotherBrowserCanBeAt}
      </p>
      <form
        onsubmit={(event) => {
          event.preventDefault();
          void add();
        }}
      >
        <TextInput
          size="sm"
          labelText={texts.newPosition}
          placeholder={texts.tablet}
          bind:value={fresh}
          invalid={!!positions.saving.fault('position-new')}
          invalidText={positions.saving.fault('position-new')}
        />
        <Button size="small" kind="tertiary" type="submit" disabled={!fresh.trim()}
          >{texts.addAndSitDown}</Button
        >
      </form>
    </div>
  {:else if positions.problem}
    <p class="trouble" role="alert">{positions.problem}</p>
  {:else}
    <p class="muted">{texts.readingThePositions}</p>
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
