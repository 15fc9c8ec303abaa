<script lang="ts">
  import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import type { ContactForm } from './contact-form.svelte';
  import { MAIN_FIELDS, PROPAGATION } from './fields';
  import { texts } from './texts';

  let { form }: { form: ContactForm } = $props();
</script>

{#snippet field(name: string, label: string)}
  <TextInput
    size="sm"
    labelText={label}
    title={form.contact?.sources[name] ? texts.saidByName(form.contact.sources[name]) : undefined}
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
  aria-label={texts.fields}
>
  <div class="fields">
    {#each MAIN_FIELDS as { name, label, wide } (name)}
      <div class:wide>{@render field(name, label)}</div>
    {/each}
    <div class="wide">
      <Select size="sm" labelText={texts.howTheSignalTravelled} bind:selected={form.values['PROP_MODE']}>
        {#each PROPAGATION as { code, label } (code)}
          <SelectItem value={code} text={label} />
        {/each}
      </Select>
    </div>
  </div>
  {#if form.others.length > 0}
    <details>
      <summary>{texts.moreFieldsAsTheyCame(form.others.length)}</summary>
      <div class="fields">
        {#each form.others as name (name)}
          <div>{@render field(name, name)}</div>
        {/each}
      </div>
    </details>
  {/if}
  {#each Object.entries(form.clashing) as [name, value] (name)}
    <p class="clash" role="alert">
      <span class="mono">{name}</span>
      {texts.wasChangedMeanwhileTo} <strong>{value || texts.nothing}</strong>{texts.youHave}
      <strong>{form.values[name] || texts.nothing}</strong>.
      <button type="button" class="more" onclick={() => form.choose(name, value)}>{texts.takeTheirs}</button>
      <button type="button" class="more" onclick={() => form.choose(name, form.values[name] ?? '')}
        >{texts.keepMine}</button
      >
    </p>
  {/each}
  <div class="actions">
    <Button
      type="submit"
      size="small"
      disabled={!form.dirty || form.saving || Object.keys(form.clashing).length > 0}
      >{texts.saveChanges}</Button
    >
    {#if form.dirty || form.problem}
      <Button kind="ghost" size="small" on:click={() => form.startOver()}>{texts.takeTheLogsValues}</Button>
    {/if}
    <span role="status">{form.saved ? texts.saved : ''}</span>
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
