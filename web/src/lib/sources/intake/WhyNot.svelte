<script lang="ts">
  import { Button, TextInput } from 'carbon-components-svelte';
  import { WhyStore } from './journal.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { ChangeStore } from '../../log/change/changes.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  let { onrecord }: { onrecord: (call: string) => void } = $props();
  const navigation = useStore(Navigation);
  const changes = useStore(ChangeStore);

  const why = new WhyStore();
  let call = $state('');
  let at = $state('');

  function ask(event: SubmitEvent) {
    event.preventDefault();
    void why.ask(call, at);
  }

  async function bringBack(changeId: number) {
    await changes.undo(changeId);
    await why.ask(call, at);
  }
</script>

<form class="why" onsubmit={ask} aria-label={texts.whyIsItNotIn}>
  <h2>{texts.whyIsItNotIn}</h2>
  <div class="ask">
    <TextInput
      size="sm"
      labelText={texts.call}
      placeholder="ZP5QXA"
      bind:value={call}
      invalid={why.problem?.fields.has('call')}
      invalidText={why.problem?.fields.get('call')}
    />
    <TextInput
      size="sm"
      labelText={texts.aboutWhenUtcEmptyFor}
      placeholder="2026-05-01 14:07"
      bind:value={at}
      invalid={why.problem?.fields.has('at')}
      invalidText={why.problem?.fields.get('at')}
    />
    <Button size="small" type="submit" disabled={why.asking || call.trim() === ''}>{texts.findOut}</Button>
  </div>
  {#if why.problem && why.problem.fields.size === 0}<p class="trouble" role="alert">
      {why.problem.message}
    </p>{/if}
  <ul aria-live="polite">
    {#each why.reasons ?? [] as reason, i (i)}
      <li class:plain={reason.found === 'NEVER_CAME'}>
        {reason.sentence}
        {#if reason.contactId !== undefined}
          <button type="button" class="more" onclick={() => navigation.showContact(reason.contactId)}
            >{texts.contact}</button
          >
        {/if}
        {#if reason.journalId !== undefined}
          <button type="button" class="more" onclick={() => onrecord(call)}>{texts.itsRecords}</button>
        {/if}
        {#if reason.changeId !== undefined}
          <button type="button" class="more" onclick={() => bringBack(reason.changeId ?? 0)}
            >{texts.bringItBack}</button
          >
        {/if}
      </li>
    {/each}
  </ul>
</form>

<style>
  .why {
    padding: 12px 16px;
    border: 1px solid var(--yb-line);
    background: var(--yb-panel);
  }

  .ask {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(160px, 240px));
    gap: 12px;
    align-items: end;
    justify-content: start;
    margin-top: 4px;
  }

  li {
    margin-top: 8px;
    padding-left: 10px;
    border-left: 3px solid var(--yb-accent);
  }

  .plain {
    border-left-color: var(--yb-line-strong);
  }
</style>
