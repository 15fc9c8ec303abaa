<script lang="ts">
  import { column } from './columns';
  import type { EditQueue, Unsaved } from './edits.svelte';

  let { edits, oncorrect }: { edits: EditQueue; oncorrect: (unsaved: Unsaved) => void } = $props();
</script>

{#each edits.unsaved as unsaved (`${unsaved.id} ${unsaved.field}`)}
  <p class="problem trouble" role="alert">
    {unsaved.call}, {column(unsaved.field).label}: “{unsaved.value}” is not saved. {unsaved.sentence}
    <button class="more" onclick={() => oncorrect(unsaved)}>Correct</button>
    <button class="more" onclick={() => edits.dismiss(unsaved)}>Dismiss</button>
  </p>
{/each}

<style>
  .problem {
    padding: 6px 16px;
  }
</style>
