<script lang="ts">
  import { Select, SelectItem } from 'carbon-components-svelte';
  import type { ClockView, StationView } from '../../platform/api/client';
  import { ago, secondName, secondTime } from '../../platform/shared/format';
  import { clock as seconds } from '../../platform/shared/clock.svelte';
  import SavedMark from '../../platform/shared/SavedMark.svelte';
  import SavingInput from '../../platform/shared/SavingInput.svelte';
  import type { StationStore } from '../../station/profile/station.svelte';
  import { texts } from './texts';

  let { station, view, clock }: { station: StationStore; view: StationView; clock?: ClockView } = $props();

  const FORMS = [
    { id: 'YEAR_FIRST', words: '2026-05-01' },
    { id: 'DAY_FIRST', words: '01.05.2026' },
    { id: 'MONTH_NAMED', words: texts.exampleDate },
  ] as const;
  const zones = Intl.supportedValuesOf('timeZone');
  const preferences = $derived(view.preferences);
</script>

<div class="columns">
  <h2>{texts.howThingsAreWritten}</h2>
  <Select
    size="sm"
    labelText={texts.distances}
    selected={preferences.miles ? 'mi' : 'km'}
    on:update={(event) => station.prefer({ miles: event.detail === 'mi' })}
  >
    <SelectItem value="km" text={texts.kilometres} />
    <SelectItem value="mi" text={texts.miles} />
  </Select>
  <Select
    size="sm"
    labelText={texts.dates}
    selected={preferences.dateForm}
    on:update={(event) =>
      station.prefer({ dateForm: FORMS.find((f) => f.id === event.detail)?.id ?? 'YEAR_FIRST' })}
  >
    {#each FORMS as form (form.id)}<SelectItem value={form.id} text={form.words} />{/each}
  </Select>

  <SavedMark saved={station.saving.savedAny('preference-')} />

  <h2>{texts.clocks}</h2>
  <div>
    <Select
      size="sm"
      labelText={texts.secondClockBesideUtc}
      selected={preferences.secondClock ?? ''}
      on:update={(event) => station.prefer({ secondClock: String(event.detail) })}
    >
      <SelectItem value="" text={texts.thisBrowsersOwnTimeZone} />
      {#each zones as zone (zone)}<SelectItem value={zone} text={zone} />{/each}
    </Select>
    <p class="muted">
      <span class="mono">{seconds.utc}</span>
      {texts.utcIs}
      <span class="mono">{secondTime(seconds.now)}</span>
      {secondName()}.
    </p>
  </div>
  <div>
    <SavingInput
      label={texts.timeServerTheComputersClock}
      placeholder={texts.none}
      value={preferences.timeServer ?? ''}
      saved={station.saving.saved('preference-timeServer')}
      fault={station.saving.fault('preference-timeServer', 'timeServer')}
      onsave={(timeServer) => station.prefer({ timeServer })}
    />
    <p class="muted">
      {#if clock?.sentence}{clock.sentence}
      {:else if clock?.checkedAt && clock.behindMs !== undefined}
        {texts.checkedOffByMsWhich(ago(clock.checkedAt, seconds.now), Math.abs(clock.behindMs))}
      {:else if clock?.server}{texts.hasNotAnsweredYet(clock.server)}
      {:else}{texts.digitalProgramsNeedAClock}{/if}
    </p>
  </div>
</div>

<style>
  .columns {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 360px));
    gap: 16px 32px;
  }

  h2 {
    grid-column: 1 / -1;
  }

  h2:not(:first-child) {
    margin-top: 16px;
  }

  p {
    margin-top: 4px;
  }
</style>
