<script lang="ts">
  import { Select, SelectItem } from 'carbon-components-svelte';
  import OperatorForm from './OperatorForm.svelte';
  import PlaceForm from './PlaceForm.svelte';
  import SavingInput from './SavingInput.svelte';
  import type { StationStore } from './station.svelte';

  let { station }: { station: StationStore } = $props();

  const view = $derived(station.view);
</script>

<section class="view" aria-label="Station">
  <div class="view-head">
    <h1>Station</h1>
    <span class="muted">Everything here is saved as soon as you leave a field; a tick says so.</span>
  </div>
  {#if station.problem}
    <p class="trouble" role="alert">{station.problem}</p>
  {:else if view}
    {#if !view.ready}
      <div class="first">
        <h2>First steps</h2>
        <ol>
          <li class:done={!!view.ownCall}>
            Type your own call below. Records that do not name a call get this one.
          </li>
          <li class:done={view.places.length > 0}>Add the place you operate from, with its locator.</li>
          <li class:done={!!view.placeId}>Choose that place as the present one.</li>
          <li>Then look under <a href="#/hookups">Hookups</a> whether your programs reach the log.</li>
        </ol>
      </div>
    {/if}
    <div class="columns">
      <div class="group">
        <h2>Now</h2>
        <SavingInput
          label="Own call"
          value={view.ownCall ?? ''}
          mono
          saved={station.saved?.key === 'ownCall' && !station.saved.problem}
          fault={station.fault('ownCall', 'ownCall')}
          onsave={(call) => station.setOwnCall(call)}
        />
        <Select
          size="sm"
          labelText="Place"
          selected={view.placeId ?? ''}
          on:update={(event) => station.setPlace(Number(event.detail))}
        >
          {#if !view.placeId}<SelectItem value="" text="choose a place" />{/if}
          {#each view.places as place (place.id)}
            <SelectItem
              value={place.id}
              text={place.locator ? `${place.name}, ${place.locator}` : place.name}
            />
          {/each}
        </Select>
        <Select
          size="sm"
          labelText="Operator"
          selected={view.operatorId ?? ''}
          on:update={(event) => station.setOperator(Number(event.detail))}
        >
          {#if !view.operatorId}<SelectItem value="" text="choose an operator" />{/if}
          {#each view.operators as operator (operator.id)}
            <SelectItem
              value={operator.id}
              text={[operator.callSign, operator.name].filter(Boolean).join(', ')}
            />
          {/each}
        </Select>
      </div>
      <div class="group">
        <h2>Operators</h2>
        {#each view.operators as operator (operator.id)}
          <OperatorForm {operator} {station} />
        {/each}
        <OperatorForm {station} />
      </div>
      <div class="group wide">
        <h2>Places</h2>
        {#each view.places as place (place.id)}
          <PlaceForm {place} {station} />
        {/each}
        <PlaceForm {station} />
      </div>
    </div>
  {:else}
    <p class="muted">Reading the station…</p>
  {/if}
</section>

<style>
  .first {
    max-width: 720px;
    margin-bottom: 24px;
    padding: 12px 16px;
    border-left: 3px solid var(--yb-accent);
    background: var(--yb-panel);
  }

  .first ol {
    margin-left: 20px;
    list-style: decimal;
  }

  .done {
    color: var(--yb-ink-2);
    text-decoration: line-through;
  }

  .columns {
    display: grid;
    grid-template-columns: 280px 1fr;
    gap: 24px 48px;
    max-width: 1080px;
  }

  .group {
    display: flex;
    flex-direction: column;
    gap: 12px;
  }

  .wide {
    grid-column: 1 / -1;
  }

  @media (max-width: 1100px) {
    .columns {
      grid-template-columns: 1fr;
    }
  }
</style>
