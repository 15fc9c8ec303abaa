<script lang="ts">
  import { untrack } from 'svelte';
  import { STATE_NAMES, type LaneState } from '../services/delivery/lanes.svelte';
  import Drawer from '../platform/shared/Drawer.svelte';
  import SealGlyph from '../platform/shared/SealGlyph.svelte';
  import { ContactForm } from './contact-form.svelte';
  import ContactFields from './ContactFields.svelte';
  import ContactPicture from './ContactPicture.svelte';
  import Records from '../sources/intake/Records.svelte';
  import Journey from './Journey.svelte';
  import { Navigation } from '../platform/page/navigation.svelte';
  import { LogStore } from './log.svelte';
  import { LatestStore } from './latest.svelte';
  import { LaneStore } from '../services/delivery/lanes.svelte';
  import { useStore } from '../platform/page/stores';
  import { texts } from './texts';

  let { id }: { id: number } = $props();
  const navigation = useStore(Navigation);
  const log = useStore(LogStore);
  const latest = useStore(LatestStore);
  const lanes = useStore(LaneStore);

  const form = new ContactForm(() => id);
  let tab = $state<'journey' | 'fields' | 'records' | 'picture'>('journey');

  const contact = $derived(form.contact);
  /** The line in the log tells when something happened to the contact. */
  const lineInLog = $derived(latest.lines.find((line) => line.id === id) ?? log.byId(id));

  $effect(() => {
    navigation.unsaved = form.dirty;
    return () => (navigation.unsaved = false);
  });

  $effect(() => untrack(() => log.watch()));

  $effect(() => {
    void lineInLog;
    untrack(() => void read());
  });

  async function read() {
    const first = contact === undefined;
    await form.read();
    const toPutRight = contact?.line.seals.some((s) => s.state === 'REFUSED' || s.state === 'HELD');
    if (first && toPutRight) {
      tab = 'fields';
    }
  }

  function serviceName(service: number): string {
    return lanes.all.find((lane) => lane.id === service)?.name ?? 'Service';
  }
</script>

<Drawer
  label={texts.contact}
  title={contact?.line.call ?? ''}
  mono
  subtitle={[contact?.line.name, contact?.line.country].filter(Boolean).join(', ')}
  onclose={() => navigation.close()}
>
  {#if contact}
    {#each contact.line.seals as seal (seal.service)}
      <p class="standing">
        <SealGlyph state={seal.state} size={18} />
        <span>{serviceName(seal.service)}: <strong>{STATE_NAMES[seal.state as LaneState]}</strong></span>
        {#if seal.reason}<span class="reason">{seal.reason}</span>{/if}
      </p>
    {/each}

    <div class="tabs" role="tablist">
      <button role="tab" aria-selected={tab === 'journey'} onclick={() => (tab = 'journey')}
        >{texts.journey}</button
      >
      <button role="tab" aria-selected={tab === 'fields'} onclick={() => (tab = 'fields')}
        >{texts.fields}</button
      >
      <button role="tab" aria-selected={tab === 'records'} onclick={() => (tab = 'records')}
        >{texts.records}</button
      >
      <button role="tab" aria-selected={tab === 'picture'} onclick={() => (tab = 'picture')}
        >{texts.picture}</button
      >
    </div>

    {#if tab === 'journey'}
      <Journey steps={contact.journey} />
    {:else if tab === 'picture'}
      <ContactPicture {id} call={contact.line.call} version={contact} />
    {:else if tab === 'records'}
      <Records {id} version={contact.version} call={contact.line.call} onchanged={() => void read()} />
    {:else}
      <ContactFields {form} />
    {/if}
  {:else if form.problem}
    <p class="trouble" role="alert">{form.problem.message}</p>
  {:else}
    <p class="muted">{texts.readingTheContact}</p>
  {/if}
</Drawer>

<style>
  .standing {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 8px;
    margin-bottom: 12px;
  }

  .standing strong {
    font-weight: 600;
  }

  .reason {
    flex-basis: 100%;
    padding-left: 26px;
    color: var(--yb-ink-2);
  }

  .tabs {
    display: flex;
    gap: 24px;
    margin: 4px 0 14px;
    border-bottom: 1px solid var(--yb-line);
  }

  .tabs button {
    padding: 6px 0;
    border: 0;
    border-bottom: 2px solid transparent;
    background: none;
    color: var(--yb-ink-2);
    font: inherit;
    cursor: pointer;
  }

  .tabs [aria-selected='true'] {
    border-bottom-color: var(--yb-accent);
    color: var(--yb-ink);
    font-weight: 600;
  }
</style>
