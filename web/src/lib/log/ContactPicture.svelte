<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import { api, got, Problem, sendFile, type PictureStanding } from '../platform/api/client';
  import { utcDate, utcMinute } from '../platform/shared/format';
  import { texts } from './texts';

  let { id, call, version }: { id: number; call: string; version: unknown } = $props();

  let standing = $state.raw<PictureStanding | undefined>(undefined);
  let problem = $state('');
  let busy = $state(false);
  /** Another one each time the picture may be another, so that the browser asks again. */
  let shown = $state(0);
  let chooser = $state<HTMLInputElement>();

  const params = $derived({ path: { id } });

  $effect(() => {
    void version;
    untrack(() => void act(() => got(api.GET('/api/contacts/{id}/picture/standing', { params }))));
  });

  async function act(action: () => Promise<PictureStanding>) {
    problem = '';
    try {
      standing = await action();
    } catch (e) {
      problem = e instanceof Problem ? e.message : String(e);
    }
  }

  async function put() {
    const file = chooser?.files?.[0];
    if (!file) {
      return;
    }
    busy = true;
    await act(async () => {
      const now = await sendFile<PictureStanding>(`/api/contacts/${id}/picture`, file);
      shown += 1;
      return now;
    });
    busy = false;
    if (chooser) {
      chooser.value = '';
    }
  }
</script>

{#if standing?.there}
  <figure>
    <img src={`/api/contacts/${id}/picture?shown=${shown}`} alt={texts.putToTheContactWith(call)} />
    <figcaption class="muted">
      {#if standing.trouble}{standing.trouble}
      {:else if standing.sentAt}{texts.atSinceService(
          standing.service ?? '',
          utcDate(standing.sentAt),
          utcMinute(standing.sentAt),
        )}
      {:else if standing.service}{texts.goesToOnceTheContact(standing.service)}
      {:else}{texts.keptHereOnlyNoService}{/if}
    </figcaption>
  </figure>
{:else if standing}
  <p class="muted">
    {texts.noPictureYetACard(standing.service ? texts.showsItBesideTheContact(standing.service) : '')}
  </p>
{/if}
<input
  bind:this={chooser}
  class="visually-hidden"
  type="file"
  accept="image/png,image/jpeg,image/bmp"
  aria-label={texts.pictureFile}
  tabindex="-1"
  onchange={() => void put()}
/>
<div class="keys">
  <Button kind="tertiary" size="small" disabled={busy} on:click={() => chooser?.click()}
    >{busy ? texts.puttingItThere : standing?.there ? texts.chooseAnother : texts.chooseAPicture}</Button
  >
  {#if standing?.there}
    <Button
      kind="ghost"
      size="small"
      on:click={() => act(() => got(api.DELETE('/api/contacts/{id}/picture', { params })))}
      >{texts.takeItAway}</Button
    >
  {/if}
</div>
{#if problem}<p class="trouble" role="alert">{problem}</p>{/if}

<style>
  figure {
    margin: 0 0 12px;
  }

  img {
    display: block;
    max-width: 100%;
    max-height: 320px;
    margin-bottom: 8px;
    border: 1px solid var(--yb-line);
    border-radius: 4px;
  }

  .keys {
    display: flex;
    gap: 8px;
    margin-top: 12px;
  }
</style>
