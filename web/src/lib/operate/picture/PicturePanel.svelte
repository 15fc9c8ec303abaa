<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { PictureDetails } from '../../platform/api/client';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { useStore } from '../../platform/page/stores';
  import { shortMegaHertz, utcDate, utcMinute } from '../../platform/shared/format';
  import PictureNote from './PictureNote.svelte';
  import { PictureStore } from './pictures.svelte';
  import type { OfferedTarget } from './targets';
  import { texts } from './texts';

  interface Props {
    details: PictureDetails;
    targets: OfferedTarget[];
    large: boolean;
    /** Whether the note is being written. */
    noting: boolean;
    onattach: (index: number) => void;
    onenlarge: () => void;
    /** The keyboard goes back to the list. */
    onback: () => void;
  }

  let { details, targets, large, noting = $bindable(), onattach, onenlarge, onback }: Props = $props();

  const store = useStore(PictureStore);
  const navigation = useStore(Navigation);

  const picture = $derived(details.picture);
  const attached = $derived(picture.state === 'ATTACHED');
  function standing(): string {
    if (!details.sent) return texts.keptHereAnotherPictureOf;
    if (details.trouble) return details.trouble;
    if (details.sentAt) {
      return texts.atSinceUtc(details.service ?? '', utcDate(details.sentAt), utcMinute(details.sentAt));
    }
    return details.service ? texts.goesToOnceTheContact(details.service) : texts.keptHereOnlyNoService;
  }
</script>

<section class="panel" class:large aria-label={texts.chosenPicture}>
  <button class="picture" onclick={onenlarge} aria-label={large ? texts.backToTheList : texts.largeView}>
    <img
      src={`/api/pictures/${picture.id}/content`}
      alt={texts.receivedUtcDate(utcDate(picture.receivedAt), utcMinute(picture.receivedAt))}
    />
  </button>
  <div class="side">
    <p>
      <span class="mono">{utcDate(picture.receivedAt)} {utcMinute(picture.receivedAt)}</span> UTC
      {#if picture.frequencyHz !== undefined}
        · <span class="mono">{shortMegaHertz(picture.frequencyHz)}</span> MHz {picture.mode ?? ''}
      {/if}
    </p>
    <p class="muted">{picture.fileName}, {picture.width} × {picture.height}</p>
    {#if attached}
      <p>
        <button class="more mono" onclick={() => navigation.showContact(picture.contactId)}
          >{picture.call}</button
        >
        <span class="muted" role="status">{store.complete ? standing() : ''}</span>
      </p>
    {:else if picture.waitsFor}
      <p role="status">
        {texts.attachedTo} <span class="mono">{picture.waitsFor}</span>
        {texts.asSoonAsThatContact}
      </p>
    {/if}
    <div class="targets" role="group" aria-label={texts.attachTo}>
      {#each targets as one, i (i)}
        <button onclick={() => onattach(i)}>
          <kbd>{i + 1}</kbd>
          <span>{texts.attachTo} <span class="mono">{one.call}</span></span>
          <span class="muted">{one.because}</span>
        </button>
      {:else}
        {#if store.complete && !attached && !picture.waitsFor}
          <p class="muted">{texts.noContactNearThisTime}</p>
        {/if}
      {/each}
    </div>
    <div class="act">
      <Button size="small" on:click={() => navigation.go('pictures', 'reply')}>{texts.reply}</Button>
      {#if attached || picture.waitsFor}
        <Button kind="secondary" size="small" on:click={() => store.detach(picture.id)}>{texts.detach}</Button
        >
      {/if}
      {#if store.complete && attached && !details.sent}
        <Button kind="secondary" size="small" on:click={() => store.send(picture.id)}
          >{texts.sendThisOne}</Button
        >
      {/if}
      {#if !attached}
        {#if picture.state !== 'KEPT'}
          <Button kind="secondary" size="small" on:click={() => store.setState(picture.id, 'KEPT')}
            >{texts.keep}</Button
          >
        {/if}
        {#if picture.state === 'HIDDEN'}
          <Button kind="secondary" size="small" on:click={() => store.setState(picture.id, 'WAITING')}
            >{texts.showAgain}</Button
          >
        {:else}
          <Button kind="secondary" size="small" on:click={() => store.setState(picture.id, 'HIDDEN')}
            >{texts.hide}</Button
          >
        {/if}
      {/if}
      <a href={`/api/pictures/${picture.id}/content`} download={picture.fileName}>{texts.saveAsFile}</a>
    </div>
    <PictureNote {picture} bind:noting {onback} />
  </div>
</section>

<style>
  .panel {
    display: flex;
    flex: none;
    flex-direction: column;
    gap: 12px;
    width: 360px;
    overflow-y: auto;
    scrollbar-color: var(--yb-line-strong) transparent;
  }

  .panel.large {
    flex: 1;
    flex-direction: row;
    width: auto;
  }

  .picture {
    padding: 0;
    border: 0;
    background: none;
    cursor: pointer;
  }

  .large .picture {
    flex: 1;
    min-width: 0;
  }

  img {
    display: block;
    width: 100%;
    max-height: 240px;
    object-fit: contain;
    background: var(--yb-panel);
  }

  .large img {
    height: 100%;
    max-height: none;
  }

  .side {
    display: flex;
    flex-direction: column;
    gap: 8px;
  }

  .large .side {
    flex: none;
    width: 320px;
  }

  .targets {
    display: flex;
    flex-direction: column;
    gap: 4px;
  }

  .targets button {
    display: flex;
    align-items: center;
    gap: 8px;
    height: 32px;
    padding: 0 8px;
    border: 1px solid var(--yb-line);
    border-radius: 2px;
    background: var(--yb-raised);
    color: var(--yb-ink);
    font: inherit;
    font-size: 13px;
    cursor: pointer;
  }

  .targets button:hover {
    border-color: var(--yb-accent);
  }

  .targets .muted {
    margin-left: auto;
  }

  .targets p {
    margin: 0;
  }

  kbd {
    padding: 0 4px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 2px;
    font-family: var(--yb-mono);
  }

  .act {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 8px;
  }
</style>
