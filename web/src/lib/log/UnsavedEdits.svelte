<script lang="ts">
  import { column } from './columns';
  import type { EditQueue, Unsaved } from './edits.svelte';
  import { texts } from './texts';

  let { edits, oncorrect }: { edits: EditQueue; oncorrect: (unsaved: Unsaved) => void } = $props();
</script>

{#each edits.unsaved as unsaved (`${unsaved.id} ${unsaved.field}`)}
  <p class="problem trouble" role="alert">
    {texts.isNotSaved(unsaved.call, column(unsaved.field).label, unsaved.value, unsaved.sentence)}
    <button class="more" onclick={() => oncorrect(unsaved)}>{texts.correct}</button>
    <button class="more" onclick={() => edits.dismiss(unsaved)}>{texts.dismiss}</button>
  </p>
{/each}

<style>
  .problem {
    padding: 6px 16px;
  }
</style>
