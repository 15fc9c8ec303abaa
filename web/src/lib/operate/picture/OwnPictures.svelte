<script lang="ts">
  import { useStore } from '../../platform/page/stores';
  import { ReplyStore } from './replies.svelte';
  import { texts } from './texts';

  /** The operator's own pictures, one of which the reply is drawn on. */
  const store = useStore(ReplyStore);

  let chooser = $state<HTMLInputElement>();

  const chosen = $derived(store.draft.ownPictureId);

  function choose(id: number | undefined) {
    store.draft.ownPictureId = id;
    store.changed();
  }

  async function add() {
    const file = chooser?.files?.[0];
    if (file) await store.addOwnPicture(file);
    if (chooser) chooser.value = '';
  }
</script>

<div role="group" aria-label={texts.yourPicture}>
  <span class="label">{texts.yourPicture}</span>
  <div class="choices">
    <button
      type="button"
      class:on={chosen === undefined}
      aria-pressed={chosen === undefined}
      onclick={() => choose(undefined)}>{texts.none}</button
    >
    {#each store.ownPictures as { id, name } (id)}
      <button
        type="button"
        class:on={chosen === id}
        aria-pressed={chosen === id}
        aria-label={name}
        title={name}
        onclick={() => choose(id)}
      >
        <img src={`/api/picture-replies/own-pictures/${id}`} alt="" loading="lazy" />
      </button>
    {/each}
    <button type="button" onclick={() => chooser?.click()}>{texts.add}</button>
    {#if chosen !== undefined}
      <button type="button" class="more" onclick={() => store.removeOwnPicture(chosen)}>{texts.delete}</button
      >
    {/if}
  </div>
  <input
    bind:this={chooser}
    class="visually-hidden"
    type="file"
    accept="image/png,image/jpeg,image/bmp"
    aria-label={texts.pictureOfYours}
    tabindex="-1"
    onchange={() => void add()}
  />
</div>

<style>
  .label {
    color: var(--yb-ink-2);
    font-size: 12px;
  }

  .choices {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px;
    padding-top: 4px;
  }

  .choices button:not(.more) {
    width: 72px;
    height: 54px;
    padding: 2px;
    border: 1px solid var(--yb-line);
    border-radius: 2px;
    background: var(--yb-raised);
    color: var(--yb-ink);
    font: inherit;
    font-size: 13px;
    cursor: pointer;
  }

  .choices .on:not(.more) {
    border-color: var(--yb-accent);
    box-shadow: inset 0 0 0 1px var(--yb-accent);
  }

  img {
    width: 100%;
    height: 100%;
    object-fit: cover;
  }
</style>
