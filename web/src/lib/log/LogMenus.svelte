<script lang="ts">
  import { Button, Checkbox, TextInput } from 'carbon-components-svelte';
  import { api, got, Problem, type LogViewSaved } from '../platform/api/client';
  import { counted } from '../platform/shared/format';
  import Menu from '../platform/shared/Menu.svelte';
  import { choosable, column, FIRST_COLUMNS } from './columns';
  import { LogDisplay } from './log-display.svelte';
  import { LaneStore } from '../services/delivery/lanes.svelte';
  import { LogStore } from './log.svelte';
  import { useStore } from '../platform/page/stores';
  import { texts } from './texts';

  let { onsearch }: { onsearch: (text: string) => void } = $props();
  const display = useStore(LogDisplay);
  const lanes = useStore(LaneStore);
  const log = useStore(LogStore);

  let views = $state.raw<LogViewSaved[]>([]);
  let fields = $state.raw<string[]>([]);
  let name = $state('');
  let problem = $state('');

  const query = $derived(
    new URLSearchParams({
      search: log.search,
      sort: log.sort.field,
      descending: String(log.sort.descending),
    }).toString(),
  );

  async function readViews() {
    try {
      views = await got(api.GET('/api/log/views'));
    } catch (e) {
      problem = String(e);
    }
  }

  async function readFields() {
    const services = lanes.all.map((lane) => lane.name.toUpperCase());
    fields = choosable(await got(api.GET('/api/log/fields')), services);
  }

  function use(view: LogViewSaved) {
    display.show(view.columns);
    log.sort = { field: view.sort, descending: view.descending };
    onsearch(view.search);
  }

  async function keep() {
    const { search, sort } = log;
    const body = { name, search, sort: sort.field, descending: sort.descending, columns: display.columns };
    try {
      views = await got(api.PUT('/api/log/views', { body }));
      name = '';
      problem = '';
    } catch (e) {
      problem = e instanceof Problem ? e.message : String(e);
    }
  }

  async function forget(view: LogViewSaved) {
    views = await got(api.DELETE('/api/log/views/{name}', { params: { path: { name: view.name } } }));
  }

  function toggle(field: string, on: boolean) {
    display.show(on ? [...display.columns, field] : display.columns.filter((f) => f !== field));
  }
</script>

<Menu label={texts.views} onopen={readViews}>
  {#each views as view (view.name)}
    <div class="saved">
      <button class="choice" onclick={() => use(view)}
        >{view.name}<span class="mono">{view.search}</span></button
      >
      <button class="away" aria-label={texts.removeTheView(view.name)} onclick={() => forget(view)}>×</button>
    </div>
  {:else}
    <p class="muted">{texts.keepASearchWithIts}</p>
  {/each}
  <form
    class="keep"
    onsubmit={(event) => {
      event.preventDefault();
      void keep();
    }}
  >
    <TextInput
      size="sm"
      labelText={texts.keepWhatIsShownAs}
      placeholder={texts.japanOn40M}
      bind:value={name}
    />
    <Button size="small" kind="tertiary" type="submit" disabled={name.trim() === ''}>{texts.keep}</Button>
  </form>
  {#if problem}<p class="trouble" role="alert">{problem}</p>{/if}
</Menu>

<Menu label={texts.columns} onopen={readFields}>
  <div class="columns">
    {#each fields as field (field)}
      <Checkbox
        labelText={column(field).label}
        checked={display.columns.includes(field)}
        on:check={({ detail }) => detail !== display.columns.includes(field) && toggle(field, detail)}
      />
    {/each}
  </div>
  <button class="more" onclick={() => display.show(FIRST_COLUMNS)}>{texts.asAtFirst}</button>
</Menu>

<Menu label={texts.export}>
  {#if log.notUnderstood.length > 0}
    <p class="trouble">
      {texts.theSearchIsNotUnderstood}
    </p>
    <Button size="small" kind="tertiary" on:click={() => onsearch('')}>{texts.showTheWholeLog}</Button>
  {:else}
    <p class="muted">{texts.whatIsFoundNowIn(counted(log.found, 'contact'))}</p>
    <a class="choice" href={`/api/contacts.adi?${query}`} download="contacts.adi"
      >{texts.adiForOtherPrograms}</a
    >
    <a class="choice" href={`/api/contacts.adx?${query}`} download="contacts.adx">{texts.adxTheSameAsXml}</a>
    <a
      class="choice"
      href={`/api/contacts.csv?${query}&columns=${display.columns.join(',')}`}
      download="contacts.csv">{texts.csvOfTheseColumns}</a
    >
    <a class="choice" href={`/api/log/print?${query}&columns=${display.columns.join(',')}`} target="_blank"
      >{texts.aPageToPrint}</a
    >
  {/if}
</Menu>

<style>
  .choice {
    display: flex;
    justify-content: space-between;
    gap: 16px;
    width: 100%;
    padding: 6px 8px;
    border: 0;
    background: none;
    color: var(--yb-ink);
    font: inherit;
    text-align: left;
    text-decoration: none;
    cursor: pointer;
  }

  .choice:hover {
    background: var(--yb-hover);
  }

  .choice .mono {
    color: var(--yb-ink-2);
    font-size: 12px;
  }

  .saved {
    display: flex;
  }

  .away {
    border: 0;
    background: none;
    color: var(--yb-ink-2);
    font-size: 16px;
    cursor: pointer;
  }

  .keep {
    display: flex;
    align-items: end;
    gap: 8px;
    margin-top: 8px;
  }

  .columns {
    columns: 2;
    margin-bottom: 8px;
  }
</style>
