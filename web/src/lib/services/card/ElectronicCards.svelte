<script lang="ts">
  import type { Lane, Received } from '../../platform/api/client';
  import { utcDate, utcMinute } from '../../platform/shared/format';
  import type { CardStore } from './cards.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { LaneStore } from '../delivery/lanes.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  let { desk, postbag }: { desk: CardStore; postbag: Lane | undefined } = $props();
  const navigation = useStore(Navigation);
  const lanes = useStore(LaneStore);

  let shown = $state.raw<Received | undefined>(undefined);
</script>

<section aria-label={texts.electronicCards}>
  <h2>{texts.electronic}</h2>
  {#if !postbag?.inUse}
    <p class="muted">
      {texts.othersMayHaveSentCards}
      {#if postbag}<button
          class="more"
          onclick={() => lanes.use(postbag.id).then(() => navigation.go('services'))}
          >{texts.takePostbagIntoUse}</button
        >{/if}
    </p>
  {:else if desk.electronic.length === 0}
    <p class="muted">{texts.noCardHasComeYet}</p>
  {:else}
    {#if shown}
      <figure>
        <img src={`/api/confirmations/${shown.id}/picture`} alt={texts.cardOfCall(shown.call)} />
        <figcaption>
          {shown.call}, {utcDate(shown.start)}
          {utcMinute(shown.start)} · {shown.band}
          {shown.mode}
          {#if shown.contactId !== undefined}
            <button class="more" onclick={() => navigation.showContact(shown?.contactId)}
              >{texts.contact}</button
            >
          {:else}<span class="trouble">{texts.noMatchingContact}</span>{/if}
        </figcaption>
      </figure>
    {/if}
    <div class="wall">
      {#each desk.electronic as card (card.id)}
        <button class="thumb" aria-pressed={shown?.id === card.id} onclick={() => (shown = card)}>
          <img
            src={`/api/confirmations/${card.id}/picture`}
            alt={texts.cardOfCall(card.call)}
            loading="lazy"
          />
          <span class="mono">{card.call}</span>
        </button>
      {/each}
    </div>
  {/if}
</section>

<style>
  .wall {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(132px, 1fr));
    gap: 8px;
    margin-top: 8px;
  }

  .thumb {
    padding: 4px;
    border: 1px solid var(--yb-line);
    border-radius: 4px;
    background: none;
    color: var(--yb-ink);
    cursor: pointer;
  }

  .thumb[aria-pressed='true'] {
    border-color: var(--yb-accent);
  }

  img {
    display: block;
    width: 100%;
    aspect-ratio: 14 / 9;
    object-fit: cover;
  }

  figure {
    margin: 8px 0;
  }

  figcaption {
    margin-top: 4px;
  }
</style>
