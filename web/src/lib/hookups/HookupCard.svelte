<script lang="ts">
  import type { Snippet } from 'svelte';
  import { Button, InlineLoading } from 'carbon-components-svelte';
  import { Checkmark, Close } from 'carbon-icons-svelte';
  import type { Hookup } from '../api/client';
  import { clock } from '../shared/clock.svelte';
  import { ago, grouped, localTime, until, utcSecond } from '../shared/format';
  import Notch from '../shared/Notch.svelte';
  import { STATE_WORDS, type HookupStore } from './hookups.svelte';

  let {
    hookup,
    store,
    onsetup,
    details,
    plain = false,
  }: {
    hookup: Hookup;
    store: HookupStore;
    onsetup?: () => void;
    details?: Snippet;
    /** Without a frame, where something else gives it one. */
    plain?: boolean;
  } = $props();

  const proof = $derived(store.proofs[hookup.id]);
  const busy = $derived(store.busy[hookup.id] ?? false);
  const UNITS: Partial<Record<Hookup['kind'], string>> = {
    SERVICE: 'contacts',
    CALLBOOK: 'answers',
    FEED: 'lines',
  };
  const unit = $derived(UNITS[hookup.kind] ?? 'records');
</script>

<article class="card" class:plain class:in-trouble={hookup.state === 'TROUBLE'} aria-label={hookup.name}>
  <header>
    <div>
      {#if !plain}<h3>{hookup.name}</h3>{/if}
      <p class="muted mono where">{hookup.where}</p>
    </div>
    <div class="state">
      <Notch state={hookup.state} />
      <span>{STATE_WORDS[hookup.state]}</span>
    </div>
  </header>
  {#if hookup.state === 'TROUBLE' || hookup.reason}
    <div class="fault" role="status">
      <p><strong>{hookup.reason}</strong></p>
      {#if hookup.fix}<p>{hookup.fix}</p>{/if}
      {#if hookup.nextAttempt}
        <p class="muted">Try {hookup.attempt} failed; the next is {until(hookup.nextAttempt, clock.now)}.</p>
      {/if}
    </div>
  {/if}
  <dl>
    {#if hookup.kind !== 'DEVICE' && hookup.kind !== 'CLOCK' && hookup.kind !== 'COPY'}
      <dt>Last minute</dt>
      <dd>{grouped(hookup.lastMinute)} {unit}</dd>
    {/if}
    <dt>Last data</dt>
    <dd>
      {#if hookup.lastData}
        <span title={localTime(hookup.lastData)}
          ><span class="mono">{utcSecond(hookup.lastData)}</span> UTC, {ago(hookup.lastData, clock.now)}</span
        >
      {:else}
        nothing since Yokebar started
      {/if}
    </dd>
    {#if details}{@render details()}{/if}
    {#if hookup.lastEvent}
      <dt>Last event</dt>
      <dd>{hookup.lastEvent}</dd>
    {/if}
  </dl>
  <footer>
    <Button kind="tertiary" size="small" disabled={busy} on:click={() => store.test(hookup.id)}>Test</Button>
    {#if hookup.state === 'OFF'}
      <Button kind="ghost" size="small" disabled={busy} on:click={() => store.setConnected(hookup.id, true)}>
        Connect
      </Button>
    {:else}
      <Button kind="ghost" size="small" disabled={busy} on:click={() => store.setConnected(hookup.id, false)}>
        Disconnect
      </Button>
    {/if}
    {#if onsetup}<Button kind="ghost" size="small" on:click={onsetup}>Set up</Button>{/if}
    {#if busy}<InlineLoading description="One moment…" />{/if}
  </footer>
  {#if proof}
    <p class="proof" class:trouble={!proof.works} role="status">
      {#if proof.works}<Checkmark size={16} />{:else}<Close size={16} />{/if}
      <span>{proof.sentence}</span>
    </p>
  {/if}
</article>

<style>
  .card {
    padding: 16px;
    border: 1px solid var(--yb-line);
    border-radius: 4px;
    background: var(--yb-panel);
  }

  .plain {
    padding: 0;
    border: 0;
  }

  .in-trouble:not(.plain) {
    border-color: var(--yb-trouble);
  }

  header {
    display: flex;
    justify-content: space-between;
    gap: 16px;
  }

  h3 {
    font-size: 16px;
    font-weight: 600;
    line-height: 24px;
  }

  .where {
    font-size: 13px;
  }

  .state {
    display: flex;
    align-items: center;
    gap: 8px;
    height: 24px;
  }

  .fault {
    margin-top: 12px;
  }

  dl {
    display: grid;
    grid-template-columns: 88px 1fr;
    gap: 4px 12px;
    margin: 16px 0;
  }

  dt {
    color: var(--yb-ink-2);
  }

  dd {
    margin: 0;
    overflow-wrap: anywhere;
  }

  footer {
    display: flex;
    align-items: center;
    gap: 8px;
  }

  .proof {
    display: flex;
    gap: 8px;
    align-items: flex-start;
    margin-top: 12px;
  }
</style>
