<script lang="ts">
  import { Problem, type Lane, type Received, type Unmatched } from '../../platform/api/client';
  import { clock } from '../../platform/shared/clock.svelte';
  import { ago, utcDate, utcMinute } from '../../platform/shared/format';
  import NearMisses from './NearMisses.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { LaneStore } from '../delivery/lanes.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  let { lane }: { lane: Lane } = $props();
  const navigation = useStore(Navigation);
  const lanes = useStore(LaneStore);

  let received = $state.raw<Received[] | undefined>(undefined);
  let unmatched = $state.raw<Unmatched[]>([]);
  let problem = $state('');

  async function load() {
    try {
      [received, unmatched] = await Promise.all([
        lanes.received(lane.id),
        lane.unmatched > 0 ? lanes.nearMisses(lane.id) : Promise.resolve([]),
      ]);
      problem = '';
    } catch (e) {
      problem = e instanceof Problem ? e.message : String(e);
    }
  }

  $effect(() => {
    void [lane.counts, lane.unmatched, lane.confirmationsUntil];
    void load();
  });
</script>

<p class="muted fetched" role="status">
  {lanes.fetched[lane.id] ?? ''}
  {#if lane.confirmationsUntil}
    {texts.allThatReceivedUntilUtc(
      lane.name,
      utcDate(lane.confirmationsUntil),
      utcMinute(lane.confirmationsUntil),
    )}
  {:else}{texts.nothingHasBeenFetchedYet}{/if}
  {#if lane.sweptUntil}{texts.theSlowLookThroughOlder(utcDate(lane.sweptUntil))}{/if}
</p>
{#if problem}<p class="trouble" role="alert">{problem}</p>{/if}

{#if unmatched.length > 0}
  <NearMisses {lane} {unmatched} onchanged={load} />
{/if}

<section aria-label={texts.confirmedLately}>
  <h3 class="small-head">{texts.confirmedLately}</h3>
  {#if received === undefined}
    <p class="muted">{texts.reading}</p>
  {:else if received.length === 0}
    <p class="muted">{texts.nothingHasComeBackYet}</p>
  {:else}
    <table class="list">
      <thead>
        <tr>
          <th>{texts.contactUtc}</th><th>{texts.call}</th><th>{texts.band}</th><th>{texts.mode}</th><th
            class="what">{texts.whatItBrought}</th
          ><th>{texts.fetched}</th>
        </tr>
      </thead>
      <tbody>
        {#each received as one (one.id)}
          <tr>
            <td class="mono">{utcDate(one.start)} {utcMinute(one.start)}</td>
            <td class="mono call">
              {#if one.contactId !== undefined}
                <button class="more mono" onclick={() => navigation.showContact(one.contactId)}
                  >{one.call}</button
                >
              {:else}{one.call}{/if}
            </td>
            <td>{one.band}</td>
            <td>{one.mode}</td>
            <td class="what">
              {#if one.brings}<strong>{one.brings}</strong>
              {:else if one.contactId === undefined}<span class="muted">{texts.noMatchingContact}</span>{/if}
              {#if one.remark}<span class="muted">“{one.remark}”</span>{/if}
            </td>
            <td class="muted">{ago(one.fetchedAt, clock.now)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
</section>

<style>
  .fetched {
    margin: 8px 0;
  }

  section {
    margin-top: 16px;
  }

  td {
    height: 30px;
    white-space: nowrap;
  }

  .what {
    width: 100%;
    white-space: normal;
  }

  strong {
    font-weight: 600;
  }
</style>
