<script lang="ts">
  import { Button, TextInput } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import type { MarkWords } from '../../platform/api/client';
  import { useStore } from '../../platform/page/stores';
  import { MARKS } from './marks';
  import { NetStore } from './nets.svelte';
  import { texts } from './texts';

  let { words, onclose }: { words: MarkWords; onclose: () => void } = $props();

  const nets = useStore(NetStore);
  let form = $state(untrack(() => ({ ...words })));

  function save(event: SubmitEvent) {
    event.preventDefault();
    void nets.saveWords(form);
  }
</script>

<form onsubmit={save} aria-label={texts.wordsOfTheNetSheet}>
  <h2>{texts.wordsOfTheNetSheet}</h2>
  <p class="muted">
    {texts.typeTheseWordsOnThe}
  </p>
  {#each MARKS as mark (mark.id)}
    <TextInput
      size="sm"
      labelText={texts.itLabel(mark.label)}
      bind:value={form[mark.field]}
      invalid={nets.saving.fault('words', mark.field) !== ''}
      invalidText={nets.saving.fault('words', mark.field)}
    />
  {/each}
  <div class="act">
    <Button type="submit" size="small">{texts.saveWords}</Button>
    <Button kind="secondary" size="small" on:click={onclose}>{texts.cancel}</Button>
  </div>
</form>

<style>
  form {
    display: grid;
    grid-template-columns: repeat(3, 20ch);
    gap: 8px 16px;
    margin-top: 16px;
  }

  h2,
  p,
  .act {
    grid-column: 1 / -1;
  }

  .act {
    display: flex;
    gap: 4px;
  }
</style>
