<script lang="ts">
  import { Button, TextInput, Select, SelectItem } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import { api, got, Problem, type ContactDetail } from '../api/client';
  import type { AppState } from '../frame/app.svelte';
  import { STATE_NAMES, type LaneState } from '../services/lanes.svelte';
  import Drawer from '../shared/Drawer.svelte';
  import SealGlyph from '../shared/SealGlyph.svelte';
  import { changedFields, clashes, followed, MAIN_FIELDS, otherFields, PROPAGATION } from './fields';
  import ContactPicture from './ContactPicture.svelte';
  import Records from '../intake/Records.svelte';
  import Journey from './Journey.svelte';

  let { app, id }: { app: AppState; id: number } = $props();

  let contact = $state.raw<ContactDetail | undefined>(undefined);
  let form = $state<Record<string, string>>({});
  let problem = $state<Problem | undefined>(undefined);
  /** What others made of fields that are being changed here, too. */
  let theirs = $state.raw<Record<string, string>>({});
  let saved = $state(false);
  let saving = $state(false);
  let tab = $state<'journey' | 'fields' | 'records' | 'picture'>('journey');

  const changes = $derived(contact ? changedFields(contact.fields, form) : {});
  const dirty = $derived(Object.keys(changes).length > 0);
  const others = $derived(contact ? otherFields(contact.fields) : []);
  /** The line in the log tells when something happened to the contact. */
  const lineInLog = $derived(
    app.latest.lines.find((line) => line.id === id) ??
      [...app.log.rows.values()].find((line) => line.id === id),
  );

  $effect(() => {
    app.unsaved = dirty;
    return () => (app.unsaved = false);
  });

  $effect(() => {
    void lineInLog;
    untrack(() => void read());
  });

  async function read() {
    try {
      const fresh = await got(api.GET('/api/contacts/{id}', { params: { path: { id } } }));
      if (contact && dirty && fresh.version !== contact.version) {
        meet(contact, fresh);
      } else {
        show(fresh, dirty);
      }
    } catch (e) {
      problem = e instanceof Problem ? e : new Problem(String(e));
    }
  }

  /**
   * Somebody else changed the contact under the form: what was typed stays, fields nobody typed into follow, and where both
   * changed the same field the person chooses.
   */
  function meet(before: ContactDetail, fresh: ContactDetail) {
    theirs = clashes(before.fields, fresh.fields, form);
    form = followed(before.fields, fresh.fields, form);
    contact = fresh;
  }

  function show(fresh: ContactDetail, keepForm: boolean) {
    const toPutRight = fresh.line.seals.some((s) => s.state === 'REFUSED' || s.state === 'HELD');
    if (!contact && toPutRight) {
      tab = 'fields';
    }
    contact = fresh;
    theirs = {};
    if (!keepForm) {
      const names = [...MAIN_FIELDS.map((f) => f.name), 'PROP_MODE', ...otherFields(fresh.fields)];
      form = Object.fromEntries(names.map((name) => [name, fresh.fields[name] ?? '']));
    }
  }

  async function save(event: SubmitEvent) {
    event.preventDefault();
    if (!contact || !dirty) {
      return;
    }
    saving = true;
    problem = undefined;
    try {
      const body = { version: contact.version, changes };
      show(await got(api.PATCH('/api/contacts/{id}', { params: { path: { id } }, body })), false);
      saved = true;
      setTimeout(() => (saved = false), 4000);
    } catch (e) {
      problem = e instanceof Problem ? e : new Problem(String(e));
      if (problem.fields.size === 0) {
        // Most likely somebody was quicker; then the form shows both.
        await read();
      }
    } finally {
      saving = false;
    }
  }

  function choose(name: string, value: string) {
    form = { ...form, [name]: value };
    theirs = Object.fromEntries(Object.entries(theirs).filter(([other]) => other !== name));
  }

  function serviceName(service: number): string {
    return app.lanes.all.find((lane) => lane.id === service)?.name ?? 'Service';
  }

  async function startOver() {
    problem = undefined;
    const fresh = await got(api.GET('/api/contacts/{id}', { params: { path: { id } } }));
    show(fresh, false);
  }
</script>

{#snippet field(name: string, label: string)}
  <TextInput
    size="sm"
    labelText={label}
    title={contact?.sources[name] ? `Said by ${contact.sources[name]}` : undefined}
    bind:value={form[name]}
    invalid={problem?.fields.has(name)}
    invalidText={problem?.fields.get(name)}
  />
{/snippet}

<Drawer
  label="Contact"
  title={contact?.line.call ?? ''}
  mono
  subtitle={[contact?.line.name, contact?.line.country].filter(Boolean).join(', ')}
  onclose={() => app.close()}
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
      <button role="tab" aria-selected={tab === 'journey'} onclick={() => (tab = 'journey')}>Journey</button>
      <button role="tab" aria-selected={tab === 'fields'} onclick={() => (tab = 'fields')}>Fields</button>
      <button role="tab" aria-selected={tab === 'records'} onclick={() => (tab = 'records')}>Records</button>
      <button role="tab" aria-selected={tab === 'picture'} onclick={() => (tab = 'picture')}>Picture</button>
    </div>

    {#if tab === 'journey'}
      <Journey steps={contact.journey} />
    {:else if tab === 'picture'}
      <ContactPicture {id} call={contact.line.call} version={contact} />
    {:else if tab === 'records'}
      <Records {id} version={contact.version} call={contact.line.call} onchanged={() => void read()} />
    {:else}
      <form onsubmit={save} aria-label="Fields">
        <div class="fields">
          {#each MAIN_FIELDS as { name, label, wide } (name)}
            <div class:wide>{@render field(name, label)}</div>
          {/each}
          <div class="wide">
            <Select size="sm" labelText="How the signal travelled" bind:selected={form['PROP_MODE']}>
              {#each PROPAGATION as { code, label } (code)}
                <SelectItem value={code} text={label} />
              {/each}
            </Select>
          </div>
        </div>
        {#if others.length > 0}
          <details>
            <summary>{others.length} more fields, as they came</summary>
            <div class="fields">
              {#each others as name (name)}
                <div>{@render field(name, name)}</div>
              {/each}
            </div>
          </details>
        {/if}
        {#each Object.entries(theirs) as [name, value] (name)}
          <p class="clash" role="alert">
            <span class="mono">{name}</span> was changed meanwhile to <strong>{value || 'nothing'}</strong>;
            you have
            <strong>{form[name] || 'nothing'}</strong>.
            <button type="button" class="more" onclick={() => choose(name, value)}>Take theirs</button>
            <button type="button" class="more" onclick={() => choose(name, form[name] ?? '')}
              >Keep mine</button
            >
          </p>
        {/each}
        <div class="actions">
          <Button type="submit" size="small" disabled={!dirty || saving || Object.keys(theirs).length > 0}
            >Save changes</Button
          >
          {#if dirty || problem}
            <Button kind="ghost" size="small" on:click={startOver}>Take the log's values</Button>
          {/if}
          <span role="status">{saved ? 'Saved.' : ''}</span>
        </div>
        {#if problem}<p class="trouble" role="alert">{problem.message}</p>{/if}
      </form>
    {/if}
  {:else if problem}
    <p class="trouble" role="alert">{problem.message}</p>
  {:else}
    <p class="muted">Reading the contact…</p>
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

  .fields {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 10px 12px;
  }

  .wide {
    grid-column: 1 / -1;
  }

  details {
    margin-top: 12px;
  }

  summary {
    margin-bottom: 8px;
    color: var(--yb-ink-2);
    cursor: pointer;
  }

  .clash {
    margin-top: 12px;
    padding-left: 8px;
    border-left: 3px solid var(--yb-accent);
  }

  .clash strong {
    font-weight: 600;
  }

  .actions {
    display: flex;
    align-items: center;
    gap: 8px;
    margin: 16px 0;
  }
</style>
