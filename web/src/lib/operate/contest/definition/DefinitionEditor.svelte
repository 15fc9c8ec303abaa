<script lang="ts">
  import { Button, FileUploaderButton, Select, SelectItem } from 'carbon-components-svelte';
  import { onMount } from 'svelte';
  import { useStore } from '../../../platform/page/stores';
  import { utcMoment } from '../../../platform/shared/format';
  import { DefinitionStore, lineAt } from './definitions.svelte';
  import SampleContacts from './SampleContacts.svelte';
  import { texts } from './texts';

  const store = useStore(DefinitionStore);
  let area = $state<HTMLTextAreaElement | null>(null);
  let deleting = $state('');

  onMount(() => void store.load());

  const lines = $derived(store.text.split('\n').length);
  const problems = $derived(store.check?.problems ?? []);
  const wrong = $derived(new Set(problems.map((one) => one.line)));
  const definition = $derived(store.check?.definition);
  const numbers = $derived(Array.from({ length: lines }, (_, i) => i + 1));
  const download = $derived(`data:text/yaml;charset=utf-8,${encodeURIComponent(store.text)}`);
  const file = $derived(`${(definition?.name ?? 'contest').toLowerCase().replace(/\W+/g, '-')}.yaml`);

  function take(name: string) {
    const one = store.all?.find((definition) => definition.name === name);
    if (one) store.take(one);
  }

  function goTo(line: number) {
    const [from, until] = lineAt(store.text, line);
    area?.focus();
    area?.setSelectionRange(from, until);
  }

  async function read(files: readonly File[]) {
    const chosen = files[0];
    if (chosen) store.type(await chosen.text());
  }

  async function remove() {
    if (await store.remove(deleting)) deleting = '';
  }
</script>

<section class="view" aria-label={texts.contestDefinitions}>
  <div class="view-head">
    <h1>{texts.contestDefinitions}</h1>
    <span class="muted">{texts.rulesAreText}</span>
    <span class="grow"></span>
    <a href="#/contest">{texts.allBooks}</a>
  </div>
  {#if store.problem || store.reading.problem}
    <p class="trouble" role="alert">{store.problem || store.reading.problem}</p>
  {/if}
  <div class="bar">
    <Select
      size="sm"
      labelText={texts.beginWith}
      selected=""
      on:change={(event) => take((event.target as HTMLSelectElement).value)}
    >
      <SelectItem value="" text={texts.choose} />
      {#each store.all ?? [] as one (one.name)}
        <SelectItem value={one.name} text={one.shipped ? texts.copyOf(one.name) : one.name} />
      {/each}
    </Select>
    <FileUploaderButton
      labelText={texts.openAFile}
      kind="tertiary"
      size="small"
      accept={['.yaml', '.yml', '.txt']}
      disableLabelChanges
      on:change={(event) => void read(event.detail)}
    />
    <Button size="small" disabled={!store.ready} on:click={() => void store.save(texts.saved)}
      >{texts.save}</Button
    >
    <a class:off={store.text === ''} href={download} download={file}>{texts.exportTheText}</a>
    {#if store.stored}
      <button class="more" onclick={() => (deleting = store.stored?.name ?? '')}>{texts.deleteThis}</button>
    {/if}
    <span role="status" class="muted">{store.notice}</span>
  </div>
  {#if deleting}
    <div class="bar" role="group" aria-label={texts.deleteThis}>
      <span>{texts.deleteTheDefinition(deleting)}</span>
      <Button size="small" on:click={remove}>{texts.delete}</Button>
      <Button kind="secondary" size="small" on:click={() => (deleting = '')}>{texts.cancel}</Button>
    </div>
  {/if}
  <div class="sides">
    <div class="text mono">
      <div class="numbers" aria-hidden="true">
        {#each numbers as number (number)}<div class:wrong={wrong.has(number)}>{number}</div>{/each}
      </div>
      <textarea
        bind:this={area}
        value={store.text}
        oninput={(event) => store.type(event.currentTarget.value)}
        rows={Math.max(lines, 16)}
        aria-label={texts.definition}
        aria-describedby="definition-says"
        placeholder={texts.chooseOneOrWrite}
        wrap="off"
        spellcheck="false"
        autocapitalize="off"></textarea>
    </div>
    <div id="definition-says" class="says">
      {#if store.text.trim() === ''}
        <p class="muted">{texts.nothingWritten}</p>
      {:else if problems.length > 0}
        <h2>{texts.toBeCorrected}</h2>
        <ul>
          {#each problems as one (`${one.line} ${one.sentence}`)}
            <li>
              <button class="more" onclick={() => goTo(one.line)}>{texts.line(one.line)}</button>
              {one.sentence}
            </li>
          {/each}
        </ul>
      {:else if definition}
        <h2>{definition.name}</h2>
        <dl>
          <dt>{texts.runs}</dt>
          <dd>{utcMoment(definition.from)} – {utcMoment(definition.until)} UTC</dd>
          <dt>{texts.on}</dt>
          <dd>{definition.bands.join(', ')} · {definition.modes.join(', ')}</dd>
          <dt>{texts.exchange}</dt>
          <dd>{definition.exchange.map((field) => field.name).join(', ')}</dd>
          {#each definition.categories as category (category.name)}
            <dt>{category.name}</dt>
            <dd>{category.choices.join(', ')}{category.optional ? texts.orNone : ''}</dd>
          {/each}
        </dl>
        <h2>{texts.rules}</h2>
        <ul>
          {#each store.check?.rules ?? [] as rule (rule)}<li>{rule}</li>{/each}
        </ul>
        <SampleContacts />
      {:else}
        <p class="muted">{texts.reading}</p>
      {/if}
    </div>
  </div>
</section>

<style>
  .grow {
    flex: 1;
  }

  .bar {
    display: flex;
    flex-wrap: wrap;
    align-items: flex-end;
    gap: 8px 16px;
    margin-bottom: 12px;
  }

  .bar :global(.bx--form-item) {
    flex: none;
  }

  .off {
    visibility: hidden;
  }

  .sides {
    display: grid;
    grid-template-columns: minmax(0, 3fr) minmax(280px, 2fr);
    gap: 8px 32px;
    align-items: start;
  }

  .text {
    display: flex;
    font-size: 14px;
    line-height: 20px;
    background: var(--yb-panel);
  }

  .numbers {
    flex: none;
    padding: 8px 8px 8px 12px;
    color: var(--yb-ink-2);
    text-align: right;
    user-select: none;
  }

  .numbers .wrong {
    color: var(--yb-trouble);
    font-weight: 600;
  }

  textarea {
    flex: 1;
    min-width: 0;
    padding: 8px;
    border: 0;
    border-left: 1px solid var(--yb-line);
    background: transparent;
    color: var(--yb-ink);
    font: inherit;
    white-space: pre;
    overflow-x: auto;
    resize: none;
  }

  dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 4px 16px;
    margin: 8px 0 16px;
  }

  dt {
    color: var(--yb-ink-2);
  }

  dt::first-letter {
    text-transform: uppercase;
  }

  li {
    margin-top: 4px;
  }

  @media (max-width: 800px) {
    .sides {
      grid-template-columns: 1fr;
    }
  }
</style>
