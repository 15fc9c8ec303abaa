<script lang="ts">
  import { onMount } from 'svelte';
  import type { ContestText } from '../../../platform/api/client';
  import { useStore } from '../../../platform/page/stores';
  import SavingInput from '../../../platform/shared/SavingInput.svelte';
  import { TextStore } from './texts-to-send.svelte';
  import { texts } from './texts';

  const store = useStore(TextStore);

  const WAYS: { way: ContestText['way']; name: string }[] = [
    { way: 'RUN', name: texts.run },
    { way: 'SEARCH', name: texts.search },
  ];
  const steps: Partial<Record<ContestText['slot'], string>> = texts.steps;
  const slots = $derived((store.all ?? []).filter((one) => one.way === 'RUN').map((one) => one.slot));
  const label = (slot: ContestText['slot']) => steps[slot] ?? texts.key(slot);
  /** Who searches has nothing to say when the contact is over: the exchange was the last. */
  const unused = (way: ContestText['way'], slot: ContestText['slot']) =>
    way === 'SEARCH' && slot === 'THANKS';

  onMount(() => void store.load());
</script>

{#if store.problem}<p class="trouble" role="alert">{store.problem}</p>
{:else if !store.all}<p class="muted">{texts.readingTheTexts}</p>
{:else}
  <p class="muted about">
    {texts.aTextCanContain}
    {#each Object.entries(texts.placeholders) as [written, meaning], index (written)}<span
        >{index > 0 ? ', ' : ' '}<span class="mono">{written}</span> {meaning}</span
      >{/each}. {texts.emptyBringsBack}
  </p>
  <table class="texts">
    <thead>
      <tr>
        <th scope="col">{texts.whenItIsSent}</th>
        {#each WAYS as { name } (name)}<th scope="col">{name}</th>{/each}
      </tr>
    </thead>
    <tbody>
      {#each slots as slot (slot)}
        <tr>
          <th scope="row">{label(slot)}</th>
          {#each WAYS as { way, name } (way)}
            <td>
              {#if !unused(way, slot)}
                <SavingInput
                  label={texts.whatIsSent(name, label(slot))}
                  hideLabel
                  mono
                  value={store.text(way, slot)}
                  saved={store.saving.saved(`${way}-${slot}`)}
                  fault={store.saving.fault(`${way}-${slot}`, 'text') ||
                    store.saving.faultOfWhole(`${way}-${slot}`)}
                  onsave={(text) => store.write(way, slot, text)}
                />
              {/if}
            </td>
          {/each}
        </tr>
      {/each}
    </tbody>
  </table>
{/if}

<style>
  .about {
    max-width: 96ch;
    margin-bottom: 12px;
  }

  .texts {
    width: 100%;
    max-width: 1040px;
    border-spacing: 0;
  }

  .texts th {
    padding: 4px 16px 4px 0;
    font-weight: 400;
    text-align: left;
    vertical-align: middle;
    white-space: nowrap;
    color: var(--yb-muted);
  }

  .texts td {
    width: 40%;
    padding: 0 16px 0 0;
    vertical-align: middle;
  }
</style>
