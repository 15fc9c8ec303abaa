<script lang="ts">
  import { Button, Search } from 'carbon-components-svelte';
  import { ArrowUp } from 'carbon-icons-svelte';
  import type { AppState } from '../frame/app.svelte';
  import { counted } from '../shared/format';
  import LogTable from './LogTable.svelte';

  let { app }: { app: AppState } = $props();

  // What is typed stands until a search from elsewhere replaces it.
  let text = $derived(app.log.search);
  let timer: ReturnType<typeof setTimeout> | undefined;
  let searchBox = $state<HTMLInputElement | null>(null);

  let table = $state<LogTable | null>(null);

  function showNew() {
    app.log.showWaiting();
    table?.toTop();
  }

  function search(call: string) {
    clearTimeout(timer);
    timer = setTimeout(() => void app.log.find(call), 120);
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key === '/' && !(event.target instanceof HTMLInputElement)) {
      event.preventDefault();
      searchBox?.focus();
    }
  }
</script>

<svelte:window {onkeydown} />

<section class="log" aria-label="Log">
  <div class="bar">
    <h1>Log</h1>
    <div class="search">
      <Search
        size="sm"
        labelText="Search by call"
        placeholder="Search by call  ( / )"
        bind:value={text}
        bind:ref={searchBox}
        oninput={() => search(text)}
        on:clear={() => search('')}
      />
    </div>
    <span class="muted" role="status">
      {#if app.log.loading}
        Reading…
      {:else if app.log.search}
        {app.log.complete
          ? counted(app.log.lines.length, 'contact')
          : `more than ${app.log.lines.length} contacts`}
      {:else}
        {counted(app.log.total, 'contact')}
      {/if}
    </span>
    {#if app.log.waiting.length > 0}
      <button class="new" onclick={showNew}><ArrowUp size={16} /> {app.log.waiting.length} new</button>
    {/if}
    <div class="export">
      <Button
        kind="ghost"
        size="small"
        href={`/api/contacts.adi${app.log.search ? `?call=${encodeURIComponent(app.log.search)}` : ''}`}
        download="contacts.adi">Export ADI</Button
      >
    </div>
  </div>
  {#if app.log.problem}
    <p class="state trouble" role="alert">{app.log.problem}</p>
  {:else if app.log.lines.length === 0 && !app.log.loading}
    <div class="state">
      {#if app.log.search}
        <p>
          No contact with a call that starts with <span class="mono">{app.log.search.toUpperCase()}</span>.
        </p>
      {:else}
        <h2>No contacts yet</h2>
        <p>
          Let your digital-mode program send ADIF by UDP to port 7371 of this computer, and each contact
          appears here as it is made. <a href="#/hookups">See whether that link is live</a>, or
          <a href="#/station">tell Yokebar your call first</a>.
        </p>
      {/if}
    </div>
  {:else}
    <LogTable {app} bind:this={table} />
  {/if}
</section>

<style>
  .log {
    display: flex;
    flex-direction: column;
    height: 100%;
  }

  .bar {
    display: flex;
    align-items: center;
    gap: 16px;
    padding: 10px 24px;
  }

  h1 {
    font-size: 20px;
    font-weight: 600;
    line-height: 32px;
  }

  .search {
    width: 280px;
  }

  .export {
    margin-left: auto;
  }

  .new {
    display: flex;
    align-items: center;
    gap: 6px;
    padding: 3px 14px;
    border: 0;
    border-radius: 14px;
    background: var(--yb-accent);
    color: var(--yb-on-accent);
    font: inherit;
    font-weight: 600;
    cursor: pointer;
  }

  .state {
    padding: 32px 24px;
    max-width: 640px;
  }
</style>
