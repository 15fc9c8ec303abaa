<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { Lane, PlaceView } from '../../platform/api/client';
  import AccountForm from './AccountForm.svelte';
  import IdentityDesk from './IdentityDesk.svelte';
  import LaneChoices from './LaneChoices.svelte';
  import type { LaneStore } from './lanes.svelte';
  import { texts } from './texts';

  let { lane, lanes, places }: { lane: Lane; lanes: LaneStore; places: readonly PlaceView[] } = $props();

  const accountDone = $derived(lane.complete);
  const identityDone = $derived(!lane.signed || lane.identities.length > 0);
</script>

<div class="setup">
  <section class:done={accountDone} aria-label={texts.account}>
    <h3 class="small-head"><span class="step">1</span> {lane.access.account ? texts.account : texts.key}</h3>
    <AccountForm {lane} {lanes} />
  </section>
  {#if lane.signed}
    <section class:done={identityDone} aria-label={texts.signingIdentity}>
      <h3 class="small-head"><span class="step">2</span> {texts.signingIdentity}</h3>
      <IdentityDesk {lane} {lanes} {places} />
    </section>
  {/if}
  <section aria-label={texts.whatIsSent}>
    <h3 class="small-head"><span class="step">{lane.signed ? 3 : 2}</span> {texts.whatGoesThere}</h3>
    <LaneChoices {lane} {lanes} />
    {#if accountDone && identityDone && !lane.proven}
      <p class="muted">
        {texts.thenGoTo} <em>{texts.goingOut}</em>
        {texts.andTryWithOneContact}
        <em>{texts.sendAutomatically}</em>.
      </p>
    {/if}
    <Button kind="ghost" size="small" on:click={() => lanes.change(lane.id, { inUse: false })}
      >{texts.takeOutOfUse(lane.name)}</Button
    >
  </section>
</div>

<style>
  .setup {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
    gap: 16px 32px;
    margin-top: 16px;
  }

  section {
    display: flex;
    flex-direction: column;
    align-items: flex-start;
    gap: 12px;
    padding-top: 8px;
    border-top: 2px solid var(--yb-line-strong);
  }

  section.done {
    border-top-color: var(--yb-accent);
  }

  .step {
    display: inline-block;
    width: 20px;
    color: var(--yb-accent);
    font-family: var(--yb-mono);
  }
</style>
