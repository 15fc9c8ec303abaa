<script lang="ts">
  import { Button, Checkbox } from 'carbon-components-svelte';
  import { api, got, Problem, type LogLine, type RecordBeside } from '../../platform/api/client';
  import { utcDate, utcMinute, utcSecond } from '../../platform/shared/format';
  import { texts } from './texts';

  /** The records a contact was made of, beside what the log says; taking them apart, and joining what belongs together. */
  let { id, version, call, onchanged }: { id: number; version: number; call: string; onchanged: () => void } =
    $props();

  /** Undefined until they have been read. */
  let read = $state.raw<RecordBeside[] | undefined>(undefined);
  let others = $state.raw<LogLine[] | undefined>(undefined);
  let chosen = $state.raw<number[]>([]);
  let notice = $state('');

  const records = $derived(read ?? []);
  let reads = 0;

  async function load() {
    const reading = ++reads;
    const fresh = await got(api.GET('/api/contacts/{id}/records', { params: { path: { id } } }));
    if (reading !== reads) return;
    read = fresh;
    // Another record may come while somebody chooses; what is chosen stays chosen.
    chosen = chosen.filter((one) => fresh.some(({ line }) => line.id === one));
  }

  $effect(() => {
    // Another record that changed something brings another version.
    void [id, version];
    void load();
  });

  async function doing(what: () => Promise<{ sentence: string }>) {
    try {
      notice = (await what()).sentence;
      others = undefined;
      await load();
      onchanged();
    } catch (e) {
      notice = e instanceof Problem ? e.message : String(e);
    }
  }

  const split = () =>
    doing(() =>
      got(api.POST('/api/contacts/{id}/split', { params: { path: { id } }, body: { journalIds: chosen } })),
    );

  const join = (contactId: number) =>
    doing(() => got(api.POST('/api/contacts/{id}/join', { params: { path: { id } }, body: { contactId } })));

  async function look() {
    const page = await got(api.GET('/api/contacts', { params: { query: { call, limit: 20 } } }));
    others = page.lines.filter((line) => line.id !== id);
  }
</script>

{#if !read}
  <p class="muted">{texts.readingItsRecords}</p>
{:else if records.length === 0}
  <p class="muted">{texts.noRecordOfItIs}</p>
{/if}
{#each records as { line, path, fields } (line.id)}
  <article>
    <header>
      {#if records.length > 1}
        <Checkbox
          labelText={texts.camePath(path)}
          checked={chosen.includes(line.id)}
          on:check={({ detail }) =>
            (chosen = detail ? [...chosen, line.id] : chosen.filter((other) => other !== line.id))}
        />
      {:else}<strong>{texts.camePath(path)}</strong>{/if}
      <span class="mono muted">{utcDate(line.arrivedAt)} {utcSecond(line.arrivedAt)}</span>
    </header>
    <dl>
      {#each fields as field (field.name)}
        <dt class="mono">{field.name}</dt>
        <dd class:other={!field.same}>
          {field.arrived}
          {#if !field.same}<span class="muted">{texts.logWords(field.logged ?? texts.nothing)}</span>{/if}
        </dd>
      {/each}
    </dl>
    {#if fields.length === 0}<pre class="mono">{line.raw}</pre>{/if}
  </article>
{/each}
<div class="act">
  {#if records.length > 1}
    <Button
      size="small"
      kind="tertiary"
      disabled={chosen.length === 0 || chosen.length === records.length}
      on:click={split}>{texts.makeTheChosenAContact}</Button
    >
  {/if}
  <Button size="small" kind="ghost" on:click={look}>{texts.joinWithAnotherContact}</Button>
</div>
<p role="status">{notice}</p>
{#if others}
  {#if others.length === 0}<p class="muted">{texts.thereIsNoOtherContact(call)}</p>{/if}
  <ul>
    {#each others as line (line.id)}
      <li>
        <span class="mono">{utcDate(line.start)} {utcMinute(line.start)} {line.band} {line.mode}</span>
        <button class="more" onclick={() => join(line.id)}>{texts.join}</button>
      </li>
    {/each}
  </ul>
{/if}

<style>
  article {
    padding: 8px 0;
    border-bottom: 1px solid var(--yb-line);
  }

  header {
    display: flex;
    align-items: center;
    justify-content: space-between;
  }

  header :global(.bx--form-item) {
    flex: 0 1 auto;
  }

  dl {
    display: grid;
    grid-template-columns: 148px 1fr;
    gap: 2px 12px;
    margin-top: 6px;
    font-size: 13px;
  }

  dt {
    overflow: hidden;
    color: var(--yb-ink-2);
    font-size: 12px;
    text-overflow: ellipsis;
  }

  dd {
    overflow-wrap: anywhere;
  }

  .other {
    padding-left: 6px;
    border-left: 3px solid var(--yb-accent);
  }

  pre {
    font-size: 12px;
    white-space: pre-wrap;
  }

  .act {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin: 12px 0;
  }

  li {
    display: flex;
    justify-content: space-between;
    padding: 3px 0;
  }
</style>
