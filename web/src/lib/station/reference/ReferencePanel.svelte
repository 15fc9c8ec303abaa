<script lang="ts">
  import { Button, Checkbox, FileUploaderButton, InlineLoading } from 'carbon-components-svelte';
  import { onMount } from 'svelte';
  import { counted, grouped, utcDate, utcMinute } from '../../platform/shared/format';
  import SavingInput from '../../platform/shared/SavingInput.svelte';
  import { ReferenceStore } from './reference.svelte';
  import { texts } from './texts';

  const store = new ReferenceStore();
  onMount(() => void store.load());

  const view = $derived(store.view);
  const busy = $derived(store.doing.busy !== '');
</script>

<section aria-label={texts.lists}>
  <h2>{texts.lists}</h2>
  <p class="muted">{texts.aNewerOneIsChecked}</p>
  {#if view}
    <table>
      <thead>
        <tr>
          <th scope="col">{texts.list}</th>
          <th scope="col">{texts.edition}</th>
          <th scope="col">{texts.holds}</th>
          <th scope="col">{texts.serves}</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        <tr>
          <th scope="row">{texts.entities}</th>
          <td class="mono">{view.edition}</td>
          <td>{grouped(view.entities)} {view.entities === 1 ? texts.entity.one : texts.entity.many}</td>
          <td class="muted serves">{texts.entitiesServe}</td>
          <td class="muted">{view.edition === view.shipped ? texts.cameWithYokebar : ''}</td>
        </tr>
        {#each view.stationLists as { file, edition, stations } (file)}
          {@const { name, serve } = texts.stations[file] ?? { name: file, serve: '' }}
          <tr>
            <th scope="row">{name}</th>
            <td class="mono">{edition ?? '–'}</td>
            <td>{edition ? counted(stations, texts.station) : texts.noneYet}</td>
            <td class="muted serves">{serve}</td>
            <td class="act">
              <span aria-label={texts.fromAFileWhich(name)} role="group">
                <FileUploaderButton
                  size="small"
                  kind="ghost"
                  labelText={texts.fromAFile}
                  disableLabelChanges
                  disabled={busy}
                  accept={['.txt']}
                  on:change={({ detail }) => detail[0] && void store.takeList(file, detail[0])}
                />
              </span>
              {#if edition}
                <Button
                  size="small"
                  kind="ghost"
                  disabled={busy}
                  aria-label={texts.dropWhich(name)}
                  on:click={() => void store.dropList(file)}>{texts.drop}</Button
                >
              {/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
    <div class="publisher">
      <SavingInput
        label={texts.publishersAddress}
        placeholder={texts.none}
        value={view.address ?? ''}
        saved={store.saving.saved('publisher')}
        fault={store.saving.fault('publisher', 'address')}
        onsave={(address) => store.save('publisher', { address })}
      />
      <Checkbox
        labelText={texts.lookOnceADay}
        checked={view.daily}
        on:check={({ detail }) => detail !== view.daily && void store.save('daily', { daily: detail })}
      />
      <Button size="small" kind="tertiary" disabled={busy || !view.address} on:click={() => void store.look()}
        >{texts.lookNow}</Button
      >
    </div>
    {#if view.outcome && view.lookedAt}
      <p class:trouble={view.failed} role="status">
        {utcDate(view.lookedAt)}
        {utcMinute(view.lookedAt)} UTC: {view.outcome}
      </p>
    {/if}
  {/if}
  <div role="status">
    {#if busy}<InlineLoading description={store.doing.busy} />{/if}
    {store.doing.notice}
  </div>
  {#if store.doing.problem}<p class="trouble" role="alert">{store.doing.problem}</p>{/if}
</section>

<style>
  section {
    display: grid;
    grid-column: 1 / -1;
    gap: 12px;
    margin-top: 12px;
  }

  table {
    width: 100%;
    border-collapse: collapse;
    text-align: left;
  }

  th,
  td {
    padding: 4px 12px 4px 0;
    vertical-align: middle;
    border-bottom: 1px solid var(--yb-line);
  }

  tbody th,
  td {
    white-space: nowrap;
  }

  tbody th {
    font-weight: 400;
  }

  .serves {
    white-space: normal;
  }

  .act {
    padding: 0;
    text-align: right;
  }

  .publisher {
    display: grid;
    grid-template-columns: minmax(0, 312px) auto auto;
    gap: 24px;
    align-items: end;
    justify-content: start;
  }

  .publisher :global(.bx--form-item) {
    flex: none;
  }

  /* Each list one below the other, with what it holds and what can be done in the lines under its name. */
  @media (max-width: 700px) {
    thead {
      display: none;
    }

    tr {
      display: flex;
      flex-wrap: wrap;
      gap: 0 12px;
      align-items: center;
      border-bottom: 1px solid var(--yb-line);
    }

    th,
    td {
      border: 0;
    }

    tbody th {
      width: 100%;
      font-weight: 600;
    }

    .publisher {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
