<script lang="ts">
  import { Button, TextInput, Toggle } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import { Problem, type Lane } from '../../platform/api/client';
  import { grouped } from '../../platform/shared/format';
  import type { LaneStore } from './lanes.svelte';

  let { lane, lanes }: { lane: Lane; lanes: LaneStore } = $props();

  let ownCalls = $state(untrack(() => lane.ownCalls));
  let fromDay = $state(untrack(() => lane.fromDay ?? ''));
  let fetchMinutes = $state(untrack(() => String(Math.max(1, Math.round(lane.fetchEverySeconds / 60)))));
  let problem = $state<Problem | undefined>(undefined);
  let notice = $state('');

  async function save(event: SubmitEvent) {
    event.preventDefault();
    problem = undefined;
    notice = '';
    try {
      const minutes = Number(fetchMinutes);
      if (lane.confirms && !(Number.isInteger(minutes) && minutes > 0)) {
        const sentence = `"${fetchMinutes}" is not a number of minutes; write it as 15.`;
        throw new Problem(sentence, new Map([['fetchEverySeconds', sentence]]));
      }
      const changed = Math.round(lane.fetchEverySeconds / 60) !== minutes;
      await lanes.change(lane.id, {
        ownCalls,
        fromDay,
        fetchEverySeconds: lane.confirms && changed ? minutes * 60 : undefined,
      });
      notice = 'Saved. The log is looked through again.';
    } catch (e) {
      problem = e instanceof Problem ? e : new Problem(String(e));
    }
  }
</script>

{#if lane.filling !== undefined}
  <p role="status">
    Looking through the log: contacts up to number {grouped(lane.filling)} have their state.
  </p>
{/if}
<form class="column-form" onsubmit={save} aria-label={`What goes to ${lane.name}`}>
  {#if lane.relayedOnRequest}
    <Toggle
      size="sm"
      labelText="Contacts over repeaters and internet links"
      labelA="Stay here"
      labelB="Go there, too"
      toggled={lane.relayed}
      on:toggle={(event) => {
        if (event.detail.toggled !== lane.relayed)
          void lanes.change(lane.id, { relayed: event.detail.toggled });
      }}
    />
  {:else if lane.signed}
    <p class="muted">Contacts over repeaters and internet links never go there.</p>
  {/if}
  <TextInput
    size="sm"
    labelText="Only contacts made as"
    placeholder="all own calls"
    bind:value={ownCalls}
    invalid={problem?.fields.has('ownCalls')}
    invalidText={problem?.fields.get('ownCalls')}
  />
  <TextInput
    size="sm"
    labelText="Only contacts from this day on"
    placeholder="all days"
    bind:value={fromDay}
    invalid={problem?.fields.has('fromDay')}
    invalidText={problem?.fields.get('fromDay')}
  />
  {#if lane.confirms}
    <TextInput
      size="sm"
      labelText="Fetch every, minutes"
      bind:value={fetchMinutes}
      invalid={problem?.fields.has('fetchEverySeconds')}
      invalidText={problem?.fields.get('fetchEverySeconds')}
    />
  {/if}
  <Button type="submit" size="small" kind="tertiary">Save</Button>
  {#if problem}<p class="trouble" role="alert">{problem.message}</p>{/if}
  {#if notice}<p role="status">{notice}</p>{/if}
</form>
