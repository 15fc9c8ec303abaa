<script lang="ts">
  import { Button, PasswordInput, TextInput } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import { Problem, type Lane } from '../../platform/api/client';
  import type { LaneStore } from './lanes.svelte';
  import { texts } from './texts';

  let { lane, lanes }: { lane: Lane; lanes: LaneStore } = $props();

  let address = $state(untrack(() => lane.address ?? ''));
  let account = $state(untrack(() => lane.account ?? ''));
  let password = $state('');
  let problem = $state<Problem | undefined>(undefined);
  let notice = $state('');
  let trying = $state(false);

  async function save(event: SubmitEvent) {
    event.preventDefault();
    problem = undefined;
    notice = '';
    trying = true;
    try {
      await lanes.change(lane.id, {
        address,
        account: lane.access.account ? account : undefined,
        password: password || undefined,
      });
      password = '';
      const proof = await lanes.test(lane.id);
      if (proof.works) notice = `Saved. ${proof.sentence}`;
      else problem = new Problem(texts.savedButSentence(proof.sentence));
    } catch (e) {
      problem = e instanceof Problem ? e : new Problem(String(e));
    } finally {
      trying = false;
    }
  }

  async function clear() {
    problem = undefined;
    notice = '';
    try {
      await lanes.change(lane.id, { clearPassword: true });
      notice = texts.theStoredPasswordIsCleared;
    } catch (e) {
      problem = e instanceof Problem ? e : new Problem(String(e));
    }
  }
</script>

<form class="column-form" onsubmit={save} aria-label={texts.accountName(lane.name)}>
  <TextInput
    size="sm"
    labelText={texts.address}
    placeholder={texts.httpsHostPath}
    bind:value={address}
    invalid={problem?.fields.has('address')}
    invalidText={problem?.fields.get('address')}
  />
  {#if lane.access.account}
    <TextInput size="sm" labelText={lane.access.account} bind:value={account} />
  {/if}
  {#if lane.access.secret}
    <PasswordInput
      size="sm"
      labelText={lane.access.secret}
      helperText={lane.hasPassword ? texts.oneIsStoredLeaveEmpty(lane.access.hint) : lane.access.hint}
      bind:value={password}
    />
    {#if lane.secretNotice}<p class="trouble" role="alert">{lane.secretNotice}</p>{/if}
  {/if}
  <p class="act">
    <Button type="submit" size="small" disabled={trying}>{trying ? texts.trying : texts.saveAndTry}</Button>
    {#if lane.access.secret && lane.hasPassword}
      <Button size="small" kind="ghost" disabled={trying} on:click={() => void clear()}
        >{texts.clearPassword}</Button
      >
    {/if}
  </p>
  {#if problem}<p class="trouble" role="alert">{problem.message}</p>{/if}
  {#if notice}<p role="status">{notice}</p>{/if}
</form>

<style>
  .act {
    display: flex;
    gap: 8px;
  }
</style>
