<script lang="ts">
  import type { ContestContact, ContestScore } from '../../platform/api/client';
  import { useStore } from '../../platform/page/stores';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { grouped, utcDate, utcMinute } from '../../platform/shared/format';
  import { texts } from './texts';
  import { worthWords } from './worth/worth';

  let { contacts, score }: { contacts: ContestContact[]; score: ContestScore } = $props();

  const navigation = useStore(Navigation);
  const all = $derived(score.contacts + score.dupes);
</script>

{#if contacts.length === 0}
  <p class="muted">{texts.noContactInTheBookYet}</p>
{:else}
  <table class="list" aria-label={texts.contacts}>
    <thead>
      <tr>
        <th>{texts.time}</th>
        <th>{texts.call}</th>
        <th>{texts.band}</th>
        <th>{texts.mode}</th>
        <th>{texts.received}</th>
        <th>{texts.brings}</th>
      </tr>
    </thead>
    <tbody>
      {#each contacts as one, i (one.contactId)}
        <tr class:lost={!one.worth.counts}>
          <td class="mono">
            {utcMinute(one.start)}
            {#if i === 0 || utcDate(one.start) !== utcDate(contacts[i - 1]?.start ?? '')}
              <span class="muted">{utcDate(one.start)}</span>
            {/if}
          </td>
          <td>
            <button class="more mono" onclick={() => navigation.showContact(one.contactId)}>{one.call}</button
            >
          </td>
          <td>{one.band}</td>
          <td>{one.mode}</td>
          <td class="mono">{one.received}</td>
          <td>
            {one.worth.counts ? worthWords(one.worth).join(' · ') : one.worth.reason}
            {#if one.adjudicator}<span class="found">{texts.theCheckFound(one.adjudicator)}</span>{/if}
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
  {#if contacts.length < all}
    <p class="muted">{texts.theLatest(grouped(contacts.length), grouped(all))}</p>
  {/if}
{/if}

<style>
  td {
    height: 28px;
  }

  td.mono {
    white-space: nowrap;
  }

  .found {
    margin-left: 8px;
    color: var(--yb-trouble);
  }

  .lost td {
    color: var(--yb-ink-2);
  }
</style>
