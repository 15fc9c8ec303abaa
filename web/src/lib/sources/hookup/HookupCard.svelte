<script lang="ts">
  import type { Snippet } from 'svelte';
  import { Button, InlineLoading } from 'carbon-components-svelte';
  import { Checkmark, Close } from 'carbon-icons-svelte';
  import type { Hookup } from '../../platform/api/client';
  import { clock } from '../../platform/shared/clock.svelte';
  import { ago, grouped, localTime, until, utcSecond } from '../../platform/shared/format';
  import Notch from '../../platform/shared/Notch.svelte';
  import { STATE_WORDS, type HookupStore } from './hookups.svelte';
  import { texts } from './texts';

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
    SERVICE: texts.contacts,
    CALLBOOK: texts.answers,
    FEED: texts.lines,
    TEXT: texts.characters,
  };
  const unit = $derived(UNITS[hookup.kind] ?? texts.records);
</script>

<article class="card" class:plain class:in-trouble={hookup.state === 'TROUBLE'} aria-label={hookup.name}>
  <header>
    <div class="who">
      {#if !plain}<h3>{hookup.name}</h3>{/if}
      <p class="muted mono where" title={hookup.where}>{hookup.where}</p>
    </div>
    <div class="state">
      <Notch state={hookup.state} />
      <span>{hookup.complete ? STATE_WORDS[hookup.state] : texts.notSetUp}</span>
    </div>
  </header>
  {#if hookup.state === 'TROUBLE' || hookup.reason}
    <div class="fault" role="status">
      <p><strong>{hookup.reason}</strong></p>
      {#if hookup.fix}<p>{hookup.fix}</p>{/if}
      {#if hookup.nextAttempt}
        <p class="muted">{texts.tryFailedTheNextIs(hookup.attempt, until(hookup.nextAttempt, clock.now))}</p>
      {/if}
    </div>
  {/if}
  <dl>
    {#if hookup.kind !== 'DEVICE' && hookup.kind !== 'CLOCK' && hookup.kind !== 'COPY'}
      <div class="fact">
        <dt>{texts.lastMinute}</dt>
        <dd>{grouped(hookup.lastMinute)} {unit}</dd>
      </div>
    {/if}
    <div class="fact">
      <dt>{texts.lastData}</dt>
      <dd>
        {#if hookup.lastData}
          <span title={localTime(hookup.lastData)}
            ><span class="mono">{utcSecond(hookup.lastData)}</span> UTC, {ago(
              hookup.lastData,
              clock.now,
            )}</span
          >
        {:else}
          {texts.noneSinceTheStart}
        {/if}
      </dd>
    </div>
    {#if details}<div class="details">{@render details()}</div>{/if}
    {#if hookup.lastEvent}
      <div class="fact event">
        <dt>{texts.lastEvent}</dt>
        <dd title={hookup.lastEvent}>{hookup.lastEvent}</dd>
      </div>
    {/if}
  </dl>
  <footer>
    {#if hookup.complete}
      <Button kind="ghost" size="small" disabled={busy} on:click={() => store.test(hookup.id)}
        >{texts.test}</Button
      >
      <Button
        kind="ghost"
        size="small"
        disabled={busy}
        on:click={() => store.setConnected(hookup.id, hookup.state === 'OFF')}
      >
        {hookup.state === 'OFF' ? texts.connect : texts.disconnect}
      </Button>
    {/if}
    {#if onsetup}<Button kind={hookup.complete ? 'ghost' : 'tertiary'} size="small" on:click={onsetup}
        >{texts.setUp}</Button
      >{/if}
    {#if busy}<InlineLoading description={texts.oneMoment} />{/if}
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
    padding: 10px 14px 6px;
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

  .who {
    display: flex;
    align-items: baseline;
    gap: 12px;
    min-width: 0;
  }

  h3 {
    flex: none;
    font-size: 15px;
    font-weight: 600;
    line-height: 24px;
    white-space: nowrap;
  }

  .where {
    min-width: 0;
    overflow: hidden;
    font-size: 12px;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .state {
    display: flex;
    flex: none;
    align-items: center;
    gap: 8px;
    height: 24px;
  }

  .fault {
    margin: 6px 0;
  }

  dl {
    display: flex;
    flex-wrap: wrap;
    gap: 0 20px;
    margin: 2px 0 0;
    font-size: 13px;
  }

  .fact {
    display: flex;
    gap: 6px;
    min-width: 0;
  }

  .details {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr);
    gap: 0 12px;
    width: 100%;
  }

  dt {
    flex: none;
    color: var(--yb-ink-2);
  }

  dd {
    min-width: 0;
    margin: 0;
    overflow: hidden;
    text-overflow: ellipsis;
  }

  .event {
    width: 100%;
  }

  .event dd {
    white-space: nowrap;
  }

  footer {
    display: flex;
    align-items: center;
    gap: 4px;
    margin-left: -14px;
  }

  .proof {
    display: flex;
    gap: 8px;
    align-items: flex-start;
    margin: 6px 0;
  }
</style>
