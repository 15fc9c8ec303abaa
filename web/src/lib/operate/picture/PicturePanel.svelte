<script lang="ts">
  import { Button, TextArea } from 'carbon-components-svelte';
  import type { PictureDetails } from '../../platform/api/client';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { useStore } from '../../platform/page/stores';
  import { shortMegaHertz, utcDate, utcMinute } from '../../platform/shared/format';
  import { PictureStore } from './pictures.svelte';
  import type { OfferedTarget } from './targets';

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
  let note = $derived(picture.note);
  let field = $state<HTMLTextAreaElement | null>(null);

  $effect(() => {
    if (noting) field?.focus();
  });

  async function saveNote() {
    noting = false;
    if (note.trim() !== picture.note) await store.note(picture.id, note);
  }

  function onnotekey(event: KeyboardEvent) {
    event.stopPropagation();
    const cancels = event.key === 'Escape';
    if (!cancels && (event.key !== 'Enter' || event.shiftKey)) return;
    event.preventDefault();
    if (cancels) note = picture.note;
    // What was typed is saved as the field is left.
    field?.blur();
    onback();
  }

  function standing(): string {
    if (!details.sent) return 'Kept here: another picture of this contact goes to the services.';
    if (details.trouble) return details.trouble;
    if (details.sentAt) {
      return `At ${details.service} since ${utcDate(details.sentAt)} ${utcMinute(details.sentAt)} UTC.`;
    }
    return details.service
      ? `Goes to ${details.service} once the contact is there.`
      : 'Kept here only: no service in use shows pictures.';
  }
</script>

<section class="panel" class:large aria-label="Chosen picture">
  <button class="picture" onclick={onenlarge} aria-label={large ? 'Back to the list' : 'Large view'}>
    <img
      src={`/api/pictures/${picture.id}/content`}
      alt={`Received ${utcDate(picture.receivedAt)} ${utcMinute(picture.receivedAt)} UTC`}
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
        <span class="muted" role="status">{standing()}</span>
      </p>
    {:else if picture.waitsFor}
      <p role="status">
        Attached to <span class="mono">{picture.waitsFor}</span> as soon as that contact is logged.
      </p>
    {/if}
    <div class="targets" role="group" aria-label="Attach to">
      {#each targets as one, i (i)}
        <button onclick={() => onattach(i)}>
          <kbd>{i + 1}</kbd>
          <span>Attach to <span class="mono">{one.call}</span></span>
          <span class="muted">{one.because}</span>
        </button>
      {:else}
        {#if !attached && !picture.waitsFor}
          <p class="muted">No contact near this time. It is offered here when one is typed or logged.</p>
        {/if}
      {/each}
    </div>
    <div class="act">
      <Button size="small" on:click={() => navigation.go('pictures', 'reply')}>Reply</Button>
      {#if attached || picture.waitsFor}
        <Button kind="secondary" size="small" on:click={() => store.detach(picture.id)}>Detach</Button>
      {/if}
      {#if attached && !details.sent}
        <Button kind="secondary" size="small" on:click={() => store.send(picture.id)}>Send this one</Button>
      {/if}
      {#if !attached}
        {#if picture.state !== 'KEPT'}
          <Button kind="secondary" size="small" on:click={() => store.setState(picture.id, 'KEPT')}
            >Keep</Button
          >
        {/if}
        {#if picture.state === 'HIDDEN'}
          <Button kind="secondary" size="small" on:click={() => store.setState(picture.id, 'WAITING')}
            >Show again</Button
          >
        {:else}
          <Button kind="secondary" size="small" on:click={() => store.setState(picture.id, 'HIDDEN')}
            >Hide</Button
          >
        {/if}
      {/if}
      <a href={`/api/pictures/${picture.id}/content`} download={picture.fileName}>Save as file</a>
    </div>
    <TextArea
      labelText="Note"
      rows={2}
      maxlength={500}
      bind:value={note}
      bind:ref={field}
      on:blur={saveNote}
      on:keydown={onnotekey}
    />
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
