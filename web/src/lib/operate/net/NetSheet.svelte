<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { ChangeStore } from '../../log/change/changes.svelte';
  import { useStore } from '../../platform/page/stores';
  import { counted, shortMegaHertz, utcDate, utcMinute } from '../../platform/shared/format';
  import CheckInTable from './CheckInTable.svelte';
  import NetClock from './NetClock.svelte';
  import NetLine from './NetLine.svelte';
  import { SheetStore } from './sheet.svelte';
  import { texts } from './texts';

  let { id }: { id: number } = $props();

  const store = useStore(SheetStore);
  const changes = useStore(ChangeStore);
  let closing = $state(false);

  $effect(() => void store.open(id));

  const sheet = $derived(store.sheet);
  const runs = $derived(sheet !== undefined && sheet.endedAt === undefined);
  /** What closing logs. */
  const made = $derived(
    sheet?.checkIns.filter((one) => (sheet.netControl || one.worked) && one.contactId === undefined) ?? [],
  );
  const unknown = $derived(made.filter((one) => one.call === undefined).length);
  const logged = $derived(sheet?.checkIns.filter((one) => one.contactId !== undefined).length ?? 0);

  const report = $derived(`/api/net-sessions/${id}/report`);

  async function close() {
    closing = false;
    await store.close();
  }

  function undo() {
    if (sheet?.changeId !== undefined) void changes.undo(sheet.changeId);
  }
</script>

<section class="view sheet" aria-label={texts.netSheet}>
  {#if !sheet}
    {#if store.problem}<p class="trouble" role="alert">{store.problem}</p>
    {:else}<p class="muted">{texts.readingTheSession}</p>{/if}
    <p><a href="#/nets">{texts.allNets}</a></p>
  {:else}
    <header class="view-head">
      <h1>{sheet.net}</h1>
      <span class="muted"
        >{utcDate(sheet.startedAt)} · {utcMinute(sheet.startedAt)}{sheet.endedAt
          ? `–${utcMinute(sheet.endedAt)}`
          : ''} UTC</span
      >
      <span>
        {#if sheet.frequencyHz !== undefined}<span class="mono">{shortMegaHertz(sheet.frequencyHz)}</span> MHz{/if}
        {sheet.mode ?? ''}
        <span class="muted">{sheet.fromRadio ? texts.fromTheRadio : ''}</span>
      </span>
      <span class="way">{sheet.way}</span>
      <span class="grow"></span>
      {#if runs}
        <Button kind="tertiary" size="small" on:click={() => (closing = true)}
          >{texts.closeThisSession}</Button
        >
      {/if}
      <a href="#/nets">{texts.allNets}</a>
    </header>
    {#if runs && closing}
      <div class="act" role="group" aria-label={texts.closeSession}>
        <span>
          {sheet.logs
            ? texts.logAndCloseTheSession(counted(made.length - unknown, 'check-in'))
            : texts.closeTheSession}
          {#if unknown > 0}<span class="trouble"
              >{texts.willNotBeLogged(counted(unknown, texts.incompleteCall))}</span
            >{/if}
        </span>
        <Button size="small" on:click={close}>{sheet.logs ? texts.logAndClose : texts.closeSession}</Button>
        <Button kind="secondary" size="small" on:click={() => (closing = false)}>{texts.cancel}</Button>
      </div>
    {/if}
    {#if runs}
      <div class="clock"><NetClock {sheet} onidentified={() => store.identified()} /></div>
    {:else}
      <div class="ended" role="status">
        <span>
          {texts.inTheLog(counted(sheet.checkIns.length, 'check-in'), counted(logged, 'contact'))}
          {#if !sheet.logs}{texts.thisNetIsNotLogged}{/if}
        </span>
        <a
          href={`#/log?find=${encodeURIComponent(`net:"${sheet.net}" date:${sheet.startedAt.slice(0, 10)}`)}`}
          >{texts.showInTheLog}</a
        >
        <span class="reports">
          <span class="muted">{texts.report}</span>
          <a href={`${report}.txt`} target="_blank" rel="noopener">{texts.text}</a>
          <a href={`${report}.pdf`} target="_blank" rel="noopener">PDF</a>
          <a href={`${report}.csv`} download={`net-${sheet.id}.csv`}>CSV</a>
          <a href={`${report}.adi`} download={`net-${sheet.id}.adi`}>ADI</a>
        </span>
        {#if logged > 0 && sheet.changeId !== undefined}
          <button class="more" onclick={undo}>{texts.undoLogging}</button>
        {/if}
        <button class="more" onclick={() => store.reopen()}>{texts.reopen}</button>
      </div>
    {/if}
    {#each store.notices as notice (notice)}<p class="muted" role="status">{notice}</p>{/each}
    <CheckInTable {sheet} />
    {#if sheet.missing.length > 0}
      <p class="missing">
        <span class="muted">{texts.regularsNotHeard(runs ? ' yet' : '')}</span>
        {#each sheet.missing as call (call)}
          <button class="mono" disabled={!runs} onclick={() => store.add(call)}>{call}</button>
        {/each}
      </p>
    {/if}
    {#if runs}
      <div class="foot">
        <NetLine />
      </div>
    {/if}
  {/if}
</section>

<style>
  .sheet {
    display: flex;
    flex-direction: column;
    gap: 8px;
    /* What is scrolled to is not to be hidden by the clock or the line. */
    scroll-padding: 80px 0 100px;
  }

  .sheet .view-head {
    margin-bottom: 0;
  }

  .way {
    padding: 0 8px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 2px;
    font-size: 13px;
  }

  .grow {
    flex: 1;
  }

  .ended,
  .act {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 16px;
  }

  .reports {
    display: inline-flex;
    gap: 12px;
  }

  .missing {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px;
  }

  .missing button {
    height: 26px;
    padding: 0 8px;
    border: 1px solid var(--yb-line);
    border-radius: 2px;
    background: var(--yb-raised);
    color: var(--yb-ink);
    font-size: 13px;
    cursor: pointer;
  }

  .clock {
    position: sticky;
    top: -24px;
    z-index: 1;
    background: var(--yb-ground);
  }

  .foot {
    position: sticky;
    bottom: -24px;
    margin-top: auto;
    padding: 8px 0 4px;
    border-top: 1px solid var(--yb-line-strong);
    background: var(--yb-ground);
  }

  .act {
    padding: 4px 12px;
    border-left: 3px solid var(--yb-accent);
    background: var(--yb-panel);
  }
</style>
