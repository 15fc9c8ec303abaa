<script lang="ts">
  import Menu from '../../platform/shared/Menu.svelte';
  import { LINE_FIELDS, lineOf } from './line-fields';
  import { LineStore } from './line.svelte';
  import { LineBarStore } from './line-bar.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const line = useStore(LineStore);
  const bar = useStore(LineBarStore);

  let values = $state<Record<string, string>>({});
  /** Known repeaters and satellites ask for how the signal travels. */
  const asked = $derived(line.view?.relayed ? ['via', 'sat'] : []);
  const shown = $derived(LINE_FIELDS.filter((f) => ['call', ...asked, ...bar.fields].includes(f.name)));
  const problems = $derived(
    new Map((line.view?.tokens ?? []).filter((t) => t.problem).map((t) => [t.label, t.problem ?? ''])),
  );

  $effect(() => {
    // Sent off or cleared: the fields are for the next contact.
    if (line.text === '') {
      values = {};
    }
  });

  function typed(name: string, value: string) {
    const first = Object.keys(values).length === 0;
    values = { ...values, [name]: value };
    if (first) {
      // The content of the line was not typed into these fields: it is set aside.
      line.fill(lineOf(values));
    } else {
      line.type(lineOf(values));
    }
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'Enter') {
      void line.enter();
      document.querySelector<HTMLInputElement>('.fields input')?.focus();
    } else if (event.key === 'Escape') {
      line.clear();
    } else {
      return;
    }
    event.preventDefault();
    event.stopPropagation();
  }

  function toggle(name: string) {
    bar.showFields(bar.fields.includes(name) ? bar.fields.filter((f) => f !== name) : [...bar.fields, name]);
  }
</script>

<div class="fields" role="group" aria-label={texts.fieldsOfTheContact}>
  {#each shown as field (field.name)}
    <label>
      <span class:bad={problems.has(field.label.toLowerCase())}>{field.label}</span>
      <input
        class="mono"
        class:bad={problems.has(field.label.toLowerCase())}
        style:width={field.width}
        value={values[field.name] ?? ''}
        oninput={(event) => typed(field.name, event.currentTarget.value)}
        {onkeydown}
        autocomplete="off"
        spellcheck="false"
      />
    </label>
  {/each}
  <Menu label={texts.choose}>
    {#each LINE_FIELDS as field (field.name)}
      {#if field.name !== 'call'}
        <label class="choice">
          <input
            type="checkbox"
            checked={bar.fields.includes(field.name)}
            onchange={() => toggle(field.name)}
          />
          {field.label}
        </label>
      {/if}
    {/each}
  </Menu>
</div>

<style>
  .fields {
    display: flex;
    flex-wrap: wrap;
    align-items: end;
    gap: 6px 12px;
  }

  label span {
    display: block;
    color: var(--yb-ink-2);
    font-size: 11px;
  }

  label input.mono {
    height: 30px;
    padding: 0 4px;
    border: 0;
    border-bottom: 2px solid var(--yb-line-strong);
    background: var(--yb-raised);
    color: var(--yb-ink);
    font-size: 16px;
  }

  label input.mono:focus {
    border-bottom-color: var(--yb-accent);
    outline: none;
  }

  .bad {
    color: var(--yb-trouble) !important;
    border-bottom-color: var(--yb-trouble) !important;
  }

  .choice {
    display: flex;
    align-items: center;
    gap: 8px;
    padding: 3px 0;
  }
</style>
