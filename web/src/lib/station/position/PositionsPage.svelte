<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import PositionFields from './PositionFields.svelte';
  import SavingInput from '../../platform/shared/SavingInput.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { PositionStore } from './positions.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const navigation = useStore(Navigation);
  const positions = useStore(PositionStore);
</script>

<h2>{texts.positions}</h2>
<p class="muted">
  {texts.wherePeopleSitADesk}
</p>
<div class="positions">
  {#each positions.all as position (position.id)}
    <section aria-label={position.name}>
      <SavingInput
        label={texts.name}
        value={position.name}
        saved={positions.saving.saved(`position-${position.id}`)}
        fault={positions.saving.fault(`position-${position.id}`, 'name')}
        onsave={(name) => positions.save(position.id, { name })}
      />
      <PositionFields {position} />
      <div class="act">
        {#if positions.here?.id === position.id}
          <span class="muted">{texts.thisBrowserIsHere}</span>
        {:else}
          <Button kind="tertiary" size="small" on:click={() => positions.sitDown(position.id)}
            >{texts.sitHere}</Button
          >
          <Button kind="ghost" size="small" on:click={() => positions.remove(position.id)}
            >{texts.remove}</Button
          >
        {/if}
      </div>
    </section>
  {/each}
</div>
<div class="act">
  <Button kind="tertiary" size="small" on:click={() => navigation.open({ of: 'position' })}
    >{texts.addOne}</Button
  >
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
