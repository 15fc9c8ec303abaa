<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { AppState } from '../frame/app.svelte';
  import { megaHertz } from '../shared/format';
  import { BAND_ENTRIES, MODES } from './dial';
  import Meter from './Meter.svelte';
  import Readout from './Readout.svelte';

  let { app }: { app: AppState } = $props();

  const radio = $derived(app.radios.chosen);
  const now = $derived(radio?.now);
  const hookup = $derived(app.hookups.all.find((h) => h.id === radio?.hookup));
</script>

<section class="radio" aria-label="Radio">
  <header>
    <h2>{radio?.name ?? 'Radio'}</h2>
    {#if app.radios.all.length > 1}
      <Button kind="ghost" size="small" on:click={() => app.radios.next()}>Next radio (r)</Button>
    {/if}
    {#if now}
      <span class="state" class:keyed={now.transmitting} role="status">
        {now.transmitting ? 'transmitting' : 'receiving'}
      </span>
    {/if}
  </header>
  {#if !radio}
    <p class="muted">No radio yet. With one, nobody types a frequency again.</p>
    <Button size="small" href="#/hookups">Connect a radio</Button>
  {:else if now}
    <Readout
      hz={now.frequencyHz}
      transmitting={now.transmitting}
      ontune={(frequencyHz) => app.radios.tune({ frequencyHz })}
    />
    <p class="facts">
      <span class="mono strong">{now.mode ?? '—'}</span>
      <span>{now.band ? `${now.band.replace(/(c?m)$/, ' $1')}` : 'outside the amateur bands'}</span>
      {#if now.powerW !== undefined}<span>{now.powerW} W</span>{/if}
      {#if now.bandwidthHz}<span>{now.bandwidthHz} Hz wide</span>{/if}
      <span class="muted">logged as {now.logMode ?? 'what the program says'}</span>
    </p>
    {#if now.split && now.transmitHz}
      <p class="facts">
        <span class="strong">Split</span>
        <span>sends on <span class="mono">{megaHertz(now.transmitHz)}</span></span>
      </p>
    {/if}
    <Meter value={now.meter} transmitting={now.transmitting} />
    <div class="keys" role="group" aria-label="Mode">
      {#each MODES as mode (mode)}
        <button aria-pressed={now.mode === mode} onclick={() => app.radios.tune({ mode })}>{mode}</button>
      {/each}
      <button aria-pressed={now.split} onclick={() => app.radios.tune({ split: !now.split })}>Split</button>
    </div>
    <div class="keys bands" role="group" aria-label="Band, metres">
      {#each BAND_ENTRIES as { band, hz } (band)}
        <button
          class="mono"
          aria-pressed={now.band === band}
          onclick={() => app.radios.tune({ frequencyHz: hz })}>{band.replace('m', '')}</button
        >
      {/each}
    </div>
  {:else}
    <p class="fault">
      {#if hookup?.state === 'TROUBLE'}
        <strong>{hookup.reason}</strong>
        {hookup.fix}
      {:else if hookup?.state === 'OFF'}
        {radio.name} is switched off here.
      {:else}
        Connecting to {radio.name}…
      {/if}
      <a href="#/hookups">See Hookups</a>
    </p>
  {/if}
  {#if app.radios.problem}<p class="trouble" role="alert">{app.radios.problem}</p>{/if}
</section>

<style>
  header {
    display: flex;
    align-items: baseline;
    gap: 12px;
  }

  .state {
    margin-left: auto;
    color: var(--yb-ink-2);
  }

  .keyed {
    color: var(--yb-trouble);
    font-weight: 600;
  }

  .facts {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 16px;
    margin-bottom: 4px;
  }

  .strong {
    font-weight: 600;
  }

  .keys {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px;
    margin-top: 8px;
  }

  .keys button {
    min-width: 40px;
    height: 28px;
    padding: 0 8px;
    border: 1px solid var(--yb-line);
    border-radius: 2px;
    background: var(--yb-raised);
    color: var(--yb-ink);
    font-size: 13px;
    cursor: pointer;
  }

  .keys button:hover {
    background: var(--yb-selected);
  }

  .keys button[aria-pressed='true'] {
    border-color: var(--yb-accent);
    box-shadow: inset 0 -3px 0 var(--yb-accent);
    font-weight: 600;
  }

  .bands {
    display: grid;
    grid-template-columns: repeat(12, 1fr);
  }

  .bands button {
    min-width: 0;
    padding: 0;
  }

  .fault {
    padding: 8px 12px;
    border-left: 3px solid var(--yb-trouble);
    background: var(--yb-raised);
  }

  .fault strong {
    font-weight: 600;
  }
</style>
