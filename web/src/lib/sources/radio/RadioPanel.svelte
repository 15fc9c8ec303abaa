<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { megaHertz, utcMinute } from '../../platform/shared/format';
  import { metres } from './dial';
  import Meter from './Meter.svelte';
  import Readout from './Readout.svelte';
  import { PositionStore } from '../../station/position/positions.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { HookupStore } from '../hookup/hookups.svelte';
  import { StationStore } from '../../station/profile/station.svelte';
  import { BandPlanStore } from './band-plan.svelte';
  import { RadioStore } from './radios.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const positions = useStore(PositionStore);
  const navigation = useStore(Navigation);
  const hookups = useStore(HookupStore);
  const station = useStore(StationStore);
  const bandPlan = useStore(BandPlanStore);
  const radios = useStore(RadioStore);

  const radio = $derived(radios.chosen);
  const now = $derived(radio?.now);
  const CUT_OFF_SHOWN_MS = 120_000;
  const cutOff = $derived(
    radio?.cutOff && Date.now() - Date.parse(radio.cutOff) < CUT_OFF_SHOWN_MS ? radio.cutOff : undefined,
  );
  const here = $derived(positions.here);
  const bands = $derived(station.view?.preferences.bandsInUse ?? []);
  const modes = $derived(station.view?.preferences.modesInUse ?? []);
  const hookup = $derived(hookups.all.find((h) => h.id === radio?.hookup));

  $effect(() => {
    if (radio && now) {
      bandPlan.at(radio.id, now.band, now.frequencyHz);
    }
  });

  function enter(band: string) {
    const hz = radio && bandPlan.entryHz(radio.id, band, now?.modeGroup);
    if (hz) {
      void radios.tune({ frequencyHz: hz });
    }
  }
</script>

<section class="radio" aria-label={texts.radio}>
  <header>
    <h2>{radio?.name ?? texts.radio}</h2>
    {#if radios.all.length > 1}
      <Button kind="ghost" size="small" on:click={() => radios.next()}>{texts.nextRadioR}</Button>
    {/if}
    {#if now}
      <span class="state" class:keyed={now.transmitting} role="status">
        {now.transmitting === undefined ? '' : now.transmitting ? texts.transmitting : texts.receiving}
      </span>
    {/if}
  </header>
  {#if !radio}
    <p class="muted">{texts.noRadioYetWithOne}</p>
    <Button size="small" href="#/first-steps">{texts.connectARadio}</Button>
  {:else if now}
    <Readout
      hz={now.frequencyHz}
      transmitting={now.transmitting ?? false}
      ontune={(frequencyHz) => radios.tune({ frequencyHz })}
      ontype={(typedFrequency) => radios.tune({ typedFrequency })}
    />
    <p class="facts">
      <span class="mono strong">{now.mode ?? '—'}</span>
      <span>{now.band ? metres(now.band) : texts.outsideTheAmateurBands}</span>
      {#if here?.segment && now.band}<span class="muted">{here.segment}</span>{/if}
      {#if now.powerW !== undefined}<span>{now.powerW} W</span>{/if}
      {#if now.bandwidthHz}<span>{texts.hzWideBandwidthHz(now.bandwidthHz)}</span>{/if}
      <span class="muted">{texts.loggedAsWhatTheProgramSays(now.logMode ?? texts.whatTheProgramSays)}</span>
    </p>
    {#if now.split && now.transmitHz}
      <p class="facts">
        <span class="strong">{texts.split}</span>
        <span>{texts.sendsOn} <span class="mono">{megaHertz(now.transmitHz)}</span></span>
      </p>
    {/if}
    {#if hookup?.state === 'SLOW'}<p class="muted" role="status">{hookup.reason}</p>{/if}
    {#if cutOff}<p class="fault" role="alert">
        {texts.theTimeLimitEndedA(utcMinute(cutOff))}
      </p>{/if}
    {#if here?.objection}<p class="fault" role="alert">{here.objection}</p>{/if}
    <Meter value={now.meter} transmitting={now.transmitting ?? false} />
    <div class="keys" role="group" aria-label={texts.mode}>
      {#each modes as mode (mode)}
        <button aria-pressed={now.mode === mode} onclick={() => radios.tune({ mode })}>{mode}</button>
      {/each}
      <button aria-pressed={now.split ?? false} onclick={() => radios.tune({ split: !now.split })}
        >{texts.split}</button
      >
    </div>
    <div
      class="keys bands"
      style:--bands={Math.min(12, bands.length)}
      role="group"
      aria-label={texts.bandMetres}
    >
      {#each bands as band (band)}
        <button class="mono" title={metres(band)} aria-pressed={now.band === band} onclick={() => enter(band)}
          >{band.replace(/(?<!c|m)m$/, '')}</button
        >
      {/each}
    </div>
  {:else}
    <p class="fault">
      {#if hookup?.state === 'TROUBLE'}
        <strong>{hookup.reason}</strong>
        {hookup.fix}
      {:else if hookup?.state === 'OFF'}
        {texts.isSwitchedOffHere(radio.name)}
      {:else}
        {texts.connectingToName(radio.name)}
      {/if}
      <button class="more" onclick={() => radio && navigation.showHookup(radio.hookup)}>{texts.more}</button>
    </p>
  {/if}
  {#if radios.problem}<p class="trouble" role="alert">{radios.problem}</p>{/if}
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
    margin-top: 8px;
  }

  .bands {
    display: grid;
    grid-template-columns: repeat(var(--bands), 1fr);
  }

  .bands button {
    min-width: 0;
    padding: 0;
  }

  .fault {
    margin: 4px 0;
  }
</style>
