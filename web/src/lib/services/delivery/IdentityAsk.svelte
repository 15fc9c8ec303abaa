<script lang="ts">
  import { Button, TextInput } from 'carbon-components-svelte';
  import type { IdentityForm } from './identity-form';
  import { texts } from './texts';

  let { lane, lanes, run, problem }: IdentityForm = $props();

  let call = $state('');
  let fromDay = $state('');
  let untilDay = $state('');
  let postalAddress = $state('');

  function ask(event: SubmitEvent) {
    event.preventDefault();
    void run(
      () => lanes.ask(lane.id, { call, fromDay, untilDay: untilDay || undefined, postalAddress }),
      texts.askedALetterWithA,
    );
  }
</script>

<form class="column-form" onsubmit={ask} aria-label={texts.askForAnIdentity}>
  <TextInput
    size="sm"
    labelText={texts.ownCall}
    bind:value={call}
    invalid={problem?.fields.has('call')}
    invalidText={problem?.fields.get('call')}
  />
  <TextInput
    size="sm"
    labelText={texts.firstDayOfContacts}
    placeholder="2015-01-01"
    bind:value={fromDay}
    invalid={problem?.fields.has('fromDay')}
    invalidText={problem?.fields.get('fromDay')}
  />
  <TextInput
    size="sm"
    labelText={texts.lastDayEmptyForNo}
    placeholder="2026-06-07"
    bind:value={untilDay}
    invalid={problem?.fields.has('untilDay')}
    invalidText={problem?.fields.get('untilDay')}
  />
  <TextInput
    size="sm"
    labelText={texts.postalAddressForTheLetter}
    bind:value={postalAddress}
    invalid={problem?.fields.has('postalAddress')}
    invalidText={problem?.fields.get('postalAddress')}
  />
  <Button type="submit" size="small">{texts.makeAndSendTheRequest}</Button>
</form>
