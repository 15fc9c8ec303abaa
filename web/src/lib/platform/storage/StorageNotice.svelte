<script lang="ts">
  import { useStore } from '../page/stores';
  import { StorageStore } from './storage.svelte';
  import { texts } from './texts';

  const storage = useStore(StorageStore);
</script>

{#if storage.sentence}
  <div class="storage" class:stopped={!storage.stores} role="alert">
    <strong>{storage.stores ? texts.littleRoomLeft : texts.nothingIsBeingStored}</strong>
    {storage.sentence}
  </div>
{/if}

<style>
  .storage {
    padding: 8px 24px;
    border-bottom: 1px solid var(--yb-line);
    background: var(--yb-raised);
  }

  .stopped {
    border-bottom-color: var(--yb-trouble);
  }

  strong {
    font-weight: 600;
  }

  .stopped strong {
    color: var(--yb-trouble);
  }
</style>
