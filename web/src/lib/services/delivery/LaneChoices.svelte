<script lang="ts">
  import { Button, TextInput, Toggle } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import { Problem, type Lane } from '../../platform/api/client';
  import { grouped } from '../../platform/shared/format';
  import type { LaneStore } from './lanes.svelte';
  import { texts } from './texts';

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
        const sentence = texts.isNotANumberOf(fetchMinutes);
        throw new Problem(sentence, new Map([['fetchEverySeconds', sentence]]));
      }
      const changed = Math.round(lane.fetchEverySeconds / 60) !== minutes;
      await lanes.change(lane.id, {
        ownCalls,
        fromDay,
        fetchEverySeconds: lane.confirms && changed ? minutes * 60 : undefined,
      });
      notice = texts.savedTheLogIsLooked;
    } catch (e) {
      problem = e instanceof Problem ? e : new Problem(String(e));
    }
  }
</script>

{#if lane.filling !== undefined}
  <p role="status">
    {texts.lookingThroughTheLogContacts(grouped(lane.filling))}
  </p>
{/if}
<form class="column-form" onsubmit={save} aria-label={texts.whatGoesTo(lane.name)}>
  {#if lane.relayedOnRequest}
    <Toggle
      size="sm"
      labelText={texts.contactsOverRepeatersAndInternet}
      labelA={texts.stayHere}
      labelB={texts.goThereToo}
      toggled={lane.relayed}
      on:toggle={(event) => {
        if (event.detail.toggled !== lane.relayed)
          void lanes.change(lane.id, { relayed: event.detail.toggled });
      }}
    />
  {:else if lane.signed}
    <p class="muted">{texts.contactsOverRepeatersAndInternetLinks}</p>
  {/if}
  <TextInput
    size="sm"
    labelText={texts.onlyContactsMadeAs}
    placeholder={texts.allOwnCalls}
    bind:value={ownCalls}
    invalid={problem?.fields.has('ownCalls')}
    invalidText={problem?.fields.get('ownCalls')}
  />
  <TextInput
    size="sm"
    labelText={texts.onlyContactsFromThisDay}
    placeholder={texts.allDays}
    bind:value={fromDay}
    invalid={problem?.fields.has('fromDay')}
    invalidText={problem?.fields.get('fromDay')}
  />
  {#if lane.confirms}
    <TextInput
      size="sm"
      labelText={texts.fetchEveryMinutes}
      bind:value={fetchMinutes}
      invalid={problem?.fields.has('fetchEverySeconds')}
      invalidText={problem?.fields.get('fetchEverySeconds')}
    />
  {/if}
  <Button type="submit" size="small" kind="tertiary">{texts.save}</Button>
  {#if problem}<p class="trouble" role="alert">{problem.message}</p>{/if}
  {#if notice}<p role="status">{notice}</p>{/if}
</form>
