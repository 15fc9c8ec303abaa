<script lang="ts">
  import { Button, Toggle } from 'carbon-components-svelte';
  import type { Lane } from '../api/client';
  import type { AppState } from '../frame/app.svelte';
  import { STATE_WORDS } from '../hookups/hookups.svelte';
  import { clock } from '../shared/clock.svelte';
  import { ago, counted, until } from '../shared/format';
  import Notch from '../shared/Notch.svelte';
  import LaneSetup from './LaneSetup.svelte';
  import LaneTrack from './LaneTrack.svelte';
  import ProblemList from './ProblemList.svelte';
  import Receipts from './Receipts.svelte';

  let { lane, app }: { lane: Lane; app: AppState } = $props();

  const lanes = $derived(app.lanes);
  const complete = $derived(
    !!lane.address && !!lane.account && lane.hasPassword && lane.identities.length > 0,
  );
  const underWay = $derived(lane.handovers.find((h) => h.state === 'PREPARED'));
  let setupOpen = $state(false);
</script>

<article class="lane" aria-label={lane.name}>
  <header>
    <h2>{lane.name}</h2>
    <span class="state"><Notch state={lane.hookup.state} />{STATE_WORDS[lane.hookup.state]}</span>
    <div class="actions">
      <Button size="small" disabled={lane.due === 0 || !complete} on:click={() => lanes.handOver(lane.id)}>
        {lane.due === 0 ? 'Nothing is due' : `Hand over ${counted(lane.due, 'contact')} now`}
      </Button>
      <Button
        kind="tertiary"
        size="small"
        disabled={!complete || lanes.fetching[lane.id]}
        on:click={() => lanes.fetchNow(lane.id)}
      >
        {lanes.fetching[lane.id] ? 'Fetching…' : 'Fetch confirmations'}
      </Button>
      <Button kind="ghost" size="small" on:click={() => (setupOpen = !setupOpen)}>
        {setupOpen ? 'Close set-up' : 'Set-up'}
      </Button>
    </div>
  </header>

  {#if lane.hookup.state === 'TROUBLE'}
    <div class="fault" role="alert">
      <p><strong>{lane.hookup.reason}</strong> {lane.hookup.fix}</p>
      {#if lane.hookup.nextAttempt}
        <p class="muted">
          Try {lane.hookup.attempt} failed; the next is {until(lane.hookup.nextAttempt, clock.now)}.
          {#if underWay}In the batch under way: {counted(underWay.contacts, 'contact')}.{/if}
        </p>
      {/if}
    </div>
  {/if}

  {#if !complete || setupOpen}
    <LaneSetup {lane} {lanes} />
  {/if}

  <LaneTrack counts={lane.counts} />

  <div class="when">
    <Toggle
      size="sm"
      labelText="Hand over by itself"
      hideLabel
      labelA="By hand: nothing goes until you say so"
      labelB="By itself: what is due goes within seconds"
      toggled={lane.atOnce}
      on:toggle={(event) => {
        if (event.detail.toggled !== lane.atOnce)
          void lanes.change(lane.id, { atOnce: event.detail.toggled });
      }}
    />
    <span class="muted" role="status">
      {lanes.fetched[lane.id] ?? ''}
      {#if lane.confirmationsUntil}Confirmations fetched {ago(lane.confirmationsUntil, clock.now)}.{/if}
    </span>
  </div>

  <ProblemList
    title="Refused"
    hint="Correct the contact and it goes again by itself."
    lines={lanes.refused[lane.id] ?? []}
    total={lane.counts['REFUSED'] ?? 0}
    {lane}
    {app}
  />
  <ProblemList
    title="Held back"
    hint="A rule keeps these here. Change what the rule looks at, or leave them."
    lines={lanes.held[lane.id] ?? []}
    total={lane.counts['HELD'] ?? 0}
    {lane}
    {app}
  />
  <Receipts handovers={lane.handovers} />
</article>

<style>
  .lane {
    container-type: inline-size;
    padding: 16px 20px 20px;
    border: 1px solid var(--yb-line);
    border-radius: 4px;
    background: var(--yb-panel);
  }

  header {
    display: flex;
    align-items: center;
    gap: 16px;
  }

  h2 {
    font-size: 18px;
  }

  .state {
    display: flex;
    align-items: center;
    gap: 8px;
  }

  .actions {
    display: flex;
    gap: 8px;
    margin-left: auto;
  }

  .fault {
    margin-top: 12px;
    padding: 8px 12px;
    border-left: 3px solid var(--yb-trouble);
    background: var(--yb-raised);
  }

  strong {
    font-weight: 600;
  }

  .when {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 24px;
    margin: 8px 0;
  }
</style>
