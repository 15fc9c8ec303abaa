<script lang="ts">
  import { Toggle } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import type { AppState } from '../frame/app.svelte';
  import { localTime, utcSecond } from '../shared/format';
  import { ArrivalStore, DECISION_WORDS } from './arrivals.svelte';

  let { app }: { app: AppState } = $props();

  const arrivals = new ArrivalStore();
  const lastEvents = $derived(app.hookups.sources.map((h) => h.lastData).join());
  let openLine = $state<number | undefined>(undefined);

  $effect(() => {
    void lastEvents;
    untrack(() => void arrivals.load());
  });
</script>

<section class="arrivals" aria-label="Lately arrived">
  <header>
    <h2>Lately arrived</h2>
    <span class="muted">Every record that came in, with what was decided about it.</span>
    <Toggle
      size="sm"
      labelText="Which records"
      hideLabel
      labelA="All"
      labelB="Refused only"
      toggled={arrivals.refusedOnly}
      on:toggle={(event) => {
        if (event.detail.toggled !== arrivals.refusedOnly) void arrivals.show(event.detail.toggled);
      }}
    />
  </header>
  {#if arrivals.problem}
    <p class="trouble" role="alert">{arrivals.problem}</p>
  {:else if arrivals.lines.length === 0}
    <p class="muted">
      {arrivals.refusedOnly
        ? 'Nothing was refused.'
        : 'Nothing yet. A record sent by UDP or imported shows up here.'}
    </p>
  {:else}
    <table class="list">
      <thead>
        <tr
          ><th>UTC</th><th>From</th><th>Decision</th><th>Why</th><th
            ><span class="visually-hidden">Look at</span></th
          ></tr
        >
      </thead>
      <tbody>
        {#each arrivals.lines as line (line.id)}
          <tr>
            <td class="mono" title={localTime(line.arrivedAt)}>{utcSecond(line.arrivedAt)}</td>
            <td class="mono from">{line.sender}</td>
            <td class="decision" class:trouble={line.decision === 'REFUSED'}
              >{DECISION_WORDS[line.decision]}</td
            >
            <td class="why">
              {line.sentence}
              {#if openLine === line.id}<pre class="mono">{line.raw || '(empty)'}</pre>{/if}
            </td>
            <td class="act">
              <button onclick={() => (openLine = openLine === line.id ? undefined : line.id)}>
                {openLine === line.id ? 'Hide record' : 'Record'}
              </button>
              {#if line.contactId !== undefined}
                <button onclick={() => app.showContact(line.contactId)}>Contact</button>
              {/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
</section>

<style>
  .arrivals {
    margin-top: 32px;
  }

  header {
    display: flex;
    align-items: center;
    gap: 16px;
    height: 32px;
  }

  header :global(.bx--form-item) {
    flex: 0 0 auto;
    margin-left: auto;
  }

  td {
    padding-block: 4px;
    vertical-align: top;
    white-space: nowrap;
  }

  .why {
    width: 100%;
    white-space: normal;
  }

  pre {
    margin: 4px 0;
    padding: 8px;
    background: var(--yb-panel);
    font-size: 12px;
    white-space: pre-wrap;
    overflow-wrap: anywhere;
  }

  .act {
    padding-right: 0;
    text-align: right;
  }

  .act button {
    padding: 0 0 0 12px;
    border: 0;
    background: none;
    color: var(--yb-accent);
    font: inherit;
    cursor: pointer;
  }
</style>
