<script lang="ts">
  import { Button, TextInput } from 'carbon-components-svelte';
  import { utcDate } from '../../platform/shared/format';
  import type { IdentityForm } from './identity-form';
  import { texts } from './texts';

  let { lane, lanes, run, problem }: IdentityForm = $props();

  let codes = $state<Record<number, string>>({});

  function collect(event: SubmitEvent, requestId: number) {
    event.preventDefault();
    void run(
      () => lanes.collect(lane.id, requestId, codes[requestId] ?? ''),
      texts.installedContactsItCoversAre,
    );
  }
</script>

{#each lane.requests as request (request.id)}
  <form
    class="column-form"
    onsubmit={(event) => collect(event, request.id)}
    aria-label={texts.codeOfTheLetter}
  >
    <p>
      <span class="mono call">{request.call}</span>
      <span class="muted">{texts.askedForOn(utcDate(request.askedAt), request.number, request.words)}</span>
    </p>
    <TextInput
      size="sm"
      labelText={texts.codeInTheLetter}
      placeholder="0000-0000"
      bind:value={() => codes[request.id] ?? '', (code) => (codes[request.id] = code)}
      invalid={problem?.fields.has('code')}
      invalidText={problem?.fields.get('code')}
    />
    <div class="keys">
      <Button type="submit" size="small">{texts.getTheCertificate}</Button>
      <Button
        kind="ghost"
        size="small"
        on:click={() => run(() => lanes.giveUp(lane.id, request.id), texts.theRequestIsGivenUp)}
        >{texts.giveUp}</Button
      >
    </div>
  </form>
{/each}

<style>
  .call {
    font-weight: 600;
  }
</style>
