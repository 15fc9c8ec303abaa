<script lang="ts">
  import { Checkmark } from 'carbon-icons-svelte';
  import { texts } from './texts';

  /** Says that what was chosen is saved, or why it is not. */
  let { saved, problem = '' }: { saved: boolean; problem?: string } = $props();
</script>

<p class="told" role="status">
  {#if problem}<span class="trouble">{problem}</span>{:else if saved}<Checkmark size={16} />
    {texts.saved}{/if}
</p>

<style>
  .told {
    display: flex;
    align-items: center;
    gap: 4px;
    min-height: 20px;
    color: var(--yb-accent);
  }
</style>
