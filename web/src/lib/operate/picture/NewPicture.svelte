<script lang="ts">
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { useStore } from '../../platform/page/stores';
  import { clock } from '../../platform/shared/clock.svelte';
  import { shortMegaHertz, utcMinute } from '../../platform/shared/format';
  import { api, got, type PictureDetails } from '../../platform/api/client';
  import { LineStore } from '../line/line.svelte';
  import { PictureStore } from './pictures.svelte';
  import { offered } from './targets';
  import { texts } from './texts';

  /** A picture that was received just now, offered to the contact it most likely belongs to. */
  const store = useStore(PictureStore);
  const line = useStore(LineStore);
  const navigation = useStore(Navigation);

  const NEW_FOR_MS = 15 * 60_000;

  let dismissed = $state(0);
  let details = $state.raw<PictureDetails | undefined>(undefined);

  const picture = $derived.by(() => {
    const latest = store.latest;
    const isNew = latest && clock.now - Date.parse(latest.receivedAt) < NEW_FOR_MS;
    return isNew && latest.id !== dismissed && navigation.view !== 'pictures' ? latest : undefined;
  });
  const target = $derived(offered(details, line.view?.station?.call)[0]);

  $effect(() => {
    const id = picture?.id;
    // The log may know more now: the contact that was under way.
    void line.outcome;
    details = undefined;
    if (id === undefined) return;
    got(api.GET('/api/pictures/{id}', { params: { path: { id } } }))
      .then((found) => {
        if (id === picture?.id) details = found;
      })
      .catch(() => {
        // It is offered for the line alone.
      });
  });

  async function attach() {
    if (picture && target) await store.attach(picture.id, target.target);
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.altKey && event.code === 'KeyA' && picture && target) {
      event.preventDefault();
      void attach();
    }
  }
</script>

<svelte:window {onkeydown} />

<div role="status">
  {#if picture}
    <div class="new">
      <img src={`/api/pictures/${picture.id}/thumbnail`} alt="" />
      <span>
        {texts.pictureReceived} <span class="mono">{utcMinute(picture.receivedAt)}</span> UTC
        {#if picture.frequencyHz !== undefined}
          {texts.on} <span class="mono">{shortMegaHertz(picture.frequencyHz)}</span> MHz{/if}.
      </span>
      {#if target}
        <button class="more" onclick={attach}
          >{texts.attachTo} <span class="mono">{target.call}</span> <kbd>{texts.altA}</kbd></button
        >
        <span class="muted">{target.because}</span>
      {/if}
      <span class="grow"></span>
      <a href="#/pictures">{texts.pictures}</a>
      <button class="more" onclick={() => (dismissed = picture.id)}>{texts.dismiss}</button>
    </div>
  {/if}
</div>

<style>
  .new {
    display: flex;
    align-items: center;
    gap: 16px;
    padding: 4px 24px;
    border-top: 1px solid var(--yb-accent);
    background: var(--yb-raised);
    white-space: nowrap;
  }

  .new > span {
    overflow: hidden;
    text-overflow: ellipsis;
  }

  img {
    height: 36px;
    border-radius: 2px;
  }

  .grow {
    flex: 1;
  }

  kbd {
    padding: 0 4px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 2px;
    font-family: var(--yb-mono);
    font-size: 12px;
  }
</style>
