<script lang="ts">
  import { Problem, type Lane, type Received, type Unmatched } from '../../platform/api/client';
  import { clock } from '../../platform/shared/clock.svelte';
  import { ago, utcDate, utcMinute } from '../../platform/shared/format';
  import NearMisses from './NearMisses.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { LaneStore } from '../delivery/lanes.svelte';
  import { useStore } from '../../platform/page/stores';

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
    All that {lane.name} received until {utcDate(lane.confirmationsUntil)}
    {utcMinute(lane.confirmationsUntil)} UTC has been asked for.
  {:else}Nothing has been fetched yet.{/if}
  {#if lane.sweptUntil}The slow look through older years stands at {utcDate(lane.sweptUntil)}.{/if}
</p>
{#if problem}<p class="trouble" role="alert">{problem}</p>{/if}

{#if unmatched.length > 0}
  <NearMisses {lane} {unmatched} onchanged={load} />
{/if}

<section aria-label="Confirmed lately">
  <h3 class="small-head">Confirmed lately</h3>
  {#if received === undefined}
    <p class="muted">Reading…</p>
  {:else if received.length === 0}
    <p class="muted">Nothing has come back yet. What the other sides hand in shows up here.</p>
  {:else}
    <table class="list">
      <thead>
        <tr>
          <th>Contact, UTC</th><th>Call</th><th>Band</th><th>Mode</th><th class="what">What it brought</th><th
            >Fetched</th
          >
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
              {:else if one.contactId === undefined}<span class="muted">no matching contact</span>{/if}
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
