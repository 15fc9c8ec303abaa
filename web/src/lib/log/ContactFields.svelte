<script lang="ts">
  import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import type { ContactForm } from './contact-form.svelte';
  import { MAIN_FIELDS, PROPAGATION } from './fields';

  let { form }: { form: ContactForm } = $props();
</script>

{#snippet field(name: string, label: string)}
  <TextInput
    size="sm"
    labelText={label}
    title={form.contact?.sources[name] ? `Said by ${form.contact.sources[name]}` : undefined}
    bind:value={form.values[name]}
    invalid={form.problem?.fields.has(name)}
    invalidText={form.problem?.fields.get(name)}
  />
{/snippet}

<form
  onsubmit={(event) => {
    event.preventDefault();
    void form.save();
  }}
  aria-label="Fields"
>
  <div class="fields">
    {#each MAIN_FIELDS as { name, label, wide } (name)}
      <div class:wide>{@render field(name, label)}</div>
    {/each}
    <div class="wide">
      <Select size="sm" labelText="How the signal travelled" bind:selected={form.values['PROP_MODE']}>
        {#each PROPAGATION as { code, label } (code)}
          <SelectItem value={code} text={label} />
        {/each}
      </Select>
    </div>
  </div>
  {#if form.others.length > 0}
    <details>
      <summary>{form.others.length} more fields, as they came</summary>
      <div class="fields">
        {#each form.others as name (name)}
          <div>{@render field(name, name)}</div>
        {/each}
      </div>
    </details>
  {/if}
  {#each Object.entries(form.clashing) as [name, value] (name)}
    <p class="clash" role="alert">
      <span class="mono">{name}</span> was changed meanwhile to <strong>{value || 'nothing'}</strong>; you
      have
      <strong>{form.values[name] || 'nothing'}</strong>.
      <button type="button" class="more" onclick={() => form.choose(name, value)}>Take theirs</button>
      <button type="button" class="more" onclick={() => form.choose(name, form.values[name] ?? '')}
        >Keep mine</button
      >
    </p>
  {/each}
  <div class="actions">
    <Button
      type="submit"
      size="small"
      disabled={!form.dirty || form.saving || Object.keys(form.clashing).length > 0}>Save changes</Button
    >
    {#if form.dirty || form.problem}
      <Button kind="ghost" size="small" on:click={() => form.startOver()}>Take the log's values</Button>
    {/if}
    <span role="status">{form.saved ? 'Saved.' : ''}</span>
  </div>
  {#if form.problem}<p class="trouble" role="alert">{form.problem.message}</p>{/if}
</form>

<style>
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
