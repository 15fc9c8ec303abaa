<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import PositionFields from './PositionFields.svelte';
  import SavingInput from '../../platform/shared/SavingInput.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { PositionStore } from './positions.svelte';
  import { useStore } from '../../platform/page/stores';

  const navigation = useStore(Navigation);
  const positions = useStore(PositionStore);
</script>

<h2>Positions</h2>
<p class="muted">
  Where people sit: a desk, a tablet, a second operator. Every browser is at one of them and remembers which.
  The radio in front of you follows the position.
</p>
<div class="positions">
  {#each positions.all as position (position.id)}
    <section aria-label={position.name}>
      <SavingInput
        label="Name"
        value={position.name}
        saved={positions.saving.saved(`position-${position.id}`)}
        fault={positions.saving.fault(`position-${position.id}`, 'name')}
        onsave={(name) => positions.save(position.id, { name })}
      />
      <PositionFields {position} />
      <div class="act">
        {#if positions.here?.id === position.id}
          <span class="muted">This browser is here.</span>
        {:else}
          <Button kind="tertiary" size="small" on:click={() => positions.sitDown(position.id)}
            >Sit here</Button
          >
          <Button kind="ghost" size="small" on:click={() => positions.remove(position.id)}>Remove</Button>
        {/if}
      </div>
    </section>
  {/each}
</div>
<div class="act">
  <Button kind="tertiary" size="small" on:click={() => navigation.open({ of: 'position' })}>Add one</Button>
</div>

<style>
  .positions {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(260px, 100%), 1fr));
    gap: 24px 32px;
    max-width: 960px;
    margin: 16px 0;
  }

  section {
    display: flex;
    flex-direction: column;
    gap: 8px;
  }

  .act {
    display: flex;
    gap: 8px;
    align-items: center;
    min-height: 32px;
  }
</style>
