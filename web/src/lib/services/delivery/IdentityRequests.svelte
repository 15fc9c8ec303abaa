<script lang="ts">
  import { Button, TextInput } from 'carbon-components-svelte';
  import { utcDate } from '../../platform/shared/format';
  import type { IdentityForm } from './identity-form';

  let { lane, lanes, run, problem }: IdentityForm = $props();

  let codes = $state<Record<number, string>>({});

  function collect(event: SubmitEvent, requestId: number) {
    event.preventDefault();
    void run(
      () => lanes.collect(lane.id, requestId, codes[requestId] ?? ''),
      'Installed. Contacts it covers are released now.',
    );
  }
</script>

{#each lane.requests as request (request.id)}
  <form class="column-form" onsubmit={(event) => collect(event, request.id)} aria-label="Code of the letter">
    <p>
      <span class="mono call">{request.call}</span>
      <span class="muted">asked for on {utcDate(request.askedAt)}, {request.number}: {request.words}.</span>
    </p>
    <TextInput
      size="sm"
      labelText="Code in the letter"
      placeholder="0000-0000"
      bind:value={() => codes[request.id] ?? '', (code) => (codes[request.id] = code)}
      invalid={problem?.fields.has('code')}
      invalidText={problem?.fields.get('code')}
    />
    <div class="keys">
      <Button type="submit" size="small">Get the certificate</Button>
      <Button
        kind="ghost"
        size="small"
        on:click={() => run(() => lanes.giveUp(lane.id, request.id), 'The request is given up.')}
        >Give up</Button
      >
    </div>
  </form>
{/each}

<style>
  .call {
    font-weight: 600;
  }
</style>
