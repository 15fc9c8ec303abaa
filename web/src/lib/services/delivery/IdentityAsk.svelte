<script lang="ts">
  import { Button, TextInput } from 'carbon-components-svelte';
  import type { IdentityForm } from './identity-form';

  let { lane, lanes, run, problem }: IdentityForm = $props();

  let call = $state('');
  let fromDay = $state('');
  let untilDay = $state('');
  let postalAddress = $state('');

  function ask(event: SubmitEvent) {
    event.preventDefault();
    void run(
      () => lanes.ask(lane.id, { call, fromDay, untilDay: untilDay || undefined, postalAddress }),
      'Asked. A letter with a code is on its way.',
    );
  }
</script>

<form class="column-form" onsubmit={ask} aria-label="Ask for an identity">
  <TextInput
    size="sm"
    labelText="Own call"
    bind:value={call}
    invalid={problem?.fields.has('call')}
    invalidText={problem?.fields.get('call')}
  />
  <TextInput
    size="sm"
    labelText="First day of contacts"
    placeholder="2015-01-01"
    bind:value={fromDay}
    invalid={problem?.fields.has('fromDay')}
    invalidText={problem?.fields.get('fromDay')}
  />
  <TextInput
    size="sm"
    labelText="Last day (empty for no end)"
    placeholder="2026-06-07"
    bind:value={untilDay}
    invalid={problem?.fields.has('untilDay')}
    invalidText={problem?.fields.get('untilDay')}
  />
  <TextInput
    size="sm"
    labelText="Postal address for the letter"
    bind:value={postalAddress}
    invalid={problem?.fields.has('postalAddress')}
    invalidText={problem?.fields.get('postalAddress')}
  />
  <Button type="submit" size="small">Make and send the request</Button>
</form>
