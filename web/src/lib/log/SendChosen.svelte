<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { api, got, Problem } from '../platform/api/client';
  import { counted, grouped } from '../platform/shared/format';
  import Menu from '../platform/shared/Menu.svelte';
  import type { Chosen } from './chosen.svelte';
  import { LaneStore } from '../services/delivery/lanes.svelte';
  import { LogStore } from './log.svelte';
  import { useStore } from '../platform/page/stores';
  import { texts } from './texts';

  let { chosen }: { chosen: Chosen } = $props();
  const lanes = useStore(LaneStore);
  const log = useStore(LogStore);

  /** The card desk takes no more at once. */
  const MAX_CONTACTS = 5000;

  let manager = $state('');
  let notice = $state('');
  let problem = $state('');

  const ready = $derived(lanes.all.filter((lane) => lane.complete && !lane.byHand));

  async function act(action: (contactIds: number[]) => Promise<unknown>, done: (contacts: number) => string) {
    problem = '';
    notice = '';
    try {
      const contactIds = await chosen.firstIds(log.search, MAX_CONTACTS);
      await action(contactIds);
      notice = done(contactIds.length);
    } catch (e) {
      problem = e instanceof Problem ? e.message : String(e);
    }
  }

  function card(via: 'BUREAU' | 'DIRECT' | 'MANAGER') {
    const way = { via, manager: via === 'MANAGER' ? manager : undefined };
    void act(
      (contactIds) => got(api.POST('/api/cards', { body: { contactIds, ...way } })),
      (contacts) => texts.toPrintUnderServicesCard(counted(contacts, 'card')),
    );
  }
</script>

<Menu label={texts.send}>
  {#if chosen.size > MAX_CONTACTS}
    <p class="muted">
      {texts.atMostGoFromHere(grouped(MAX_CONTACTS))}
    </p>
  {:else}
    {#each ready as lane (lane.id)}
      <button
        class="choice"
        onclick={() =>
          act(
            (contactIds) => lanes.handOver(lane.id, { contactIds }),
            () => texts.whatOfThemIsDue(lane.name),
          )}>{texts.toNowName(lane.name)}</button
      >
    {/each}
    <button class="choice" onclick={() => card('BUREAU')}>{texts.paperCardByTheBureau}</button>
    <button class="choice" onclick={() => card('DIRECT')}>{texts.paperCardDirect}</button>
    <div class="manager">
      <input aria-label={texts.theManagersCall} placeholder={texts.managersCall} bind:value={manager} />
      <Button size="small" kind="ghost" disabled={!manager.trim()} on:click={() => card('MANAGER')}
        >{texts.cardToTheManager}</Button
      >
    </div>
  {/if}
  {#if problem}<p class="trouble" role="alert">{problem}</p>{/if}
  <p role="status">{notice}</p>
</Menu>

<style>
  .choice {
    display: block;
    width: 100%;
    padding: 6px 0;
    border: 0;
    background: none;
    color: var(--yb-ink);
    font: inherit;
    text-align: left;
    cursor: pointer;
  }

  .choice:hover {
    color: var(--yb-accent);
  }

  .manager {
    display: flex;
    align-items: center;
    gap: 4px;
  }

  input {
    width: 140px;
    height: 28px;
    padding: 0 8px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 2px;
    background: var(--yb-raised);
    color: var(--yb-ink);
    font: inherit;
    text-transform: uppercase;
  }

  input::placeholder {
    text-transform: none;
  }
</style>
