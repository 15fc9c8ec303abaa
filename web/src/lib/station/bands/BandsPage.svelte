<script lang="ts">
  import { Select, SelectItem, TextArea } from 'carbon-components-svelte';
  import { api, got, type BandView, type StationView } from '../../platform/api/client';
  import { metres } from '../../sources/radio/dial';
  import { kiloHertz } from '../../platform/shared/format';
  import SavedMark from '../../platform/shared/SavedMark.svelte';
  import type { StationStore } from '../profile/station.svelte';
  import { texts } from './texts';

  let { station, view }: { station: StationStore; view: StationView } = $props();

  const REGIONS = [
    { id: 'EUROPE_AFRICA', words: texts.region1EuropeAfricaMiddle },
    { id: 'AMERICAS', words: texts.region2TheAmericas },
    { id: 'ASIA_PACIFIC', words: texts.region3SouthernAsiaOceania },
  ] as const;
  const MODES = ['LSB', 'USB', 'CW', 'CW-R', 'AM', 'FM', 'RTTY', 'RTTY-R', 'DATA-L', 'DATA-U', 'DATA-FM'];

  let plan = $state.raw<BandView[]>([]);
  let shown = $state('20m');

  const bands = $derived(view.preferences.bandsInUse ?? []);
  const modes = $derived(view.preferences.modesInUse ?? []);
  const band = $derived(plan.find((b) => b.name === shown));

  $effect(() => {
    void view.preferences.region;
    got(api.GET('/api/band-plan')).then(
      (read) => (plan = read),
      () => (plan = []),
    );
  });

  /** With or without one of them, in the order there is. */
  function toggled(list: string[], one: string, order: string[]): string[] {
    return order.filter((o) => (o === one ? !list.includes(o) : list.includes(o)));
  }
</script>

<div class="columns">
  <div>
    <h2>{texts.bandsInUse}</h2>
    <p class="muted">{texts.theyGetAButtonOn}</p>
    <div class="keys" role="group" aria-label={texts.bandsInUse}>
      {#each plan as { name } (name)}
        <button
          class="mono"
          aria-pressed={bands.includes(name)}
          onclick={() =>
            station.prefer({
              bandsInUse: toggled(
                bands,
                name,
                plan.map((b) => b.name),
              ),
            })}>{metres(name)}</button
        >
      {/each}
    </div>
    <h2>{texts.modesInUse}</h2>
    <div class="keys" role="group" aria-label={texts.modesInUse}>
      {#each MODES as mode (mode)}
        <button
          aria-pressed={modes.includes(mode)}
          onclick={() => station.prefer({ modesInUse: toggled(modes, mode, MODES) })}>{mode}</button
        >
      {/each}
    </div>
    <h2>{texts.bandPlan}</h2>
    <Select
      size="sm"
      labelText={texts.region}
      selected={view.preferences.region}
      on:update={(event) =>
        station.prefer({ region: REGIONS.find((r) => r.id === event.detail)?.id ?? 'EUROPE_AFRICA' })}
    >
      {#each REGIONS as region (region.id)}<SelectItem value={region.id} text={region.words} />{/each}
    </Select>
    <SavedMark saved={station.saving.savedAny('preference-')} />
    <p class="muted">
      {texts.whatAnOperatorsLicenceAllows}
    </p>
    <h2>{texts.repeatersAndSatellites}</h2>
    <TextArea
      labelText={texts.oneALineTheFrequency}
      placeholder={texts.exampleChannels}
      rows={4}
      value={view.preferences.channels ?? ''}
      invalid={station.saving.fault('preference-channels', 'channels') !== ''}
      invalidText={station.saving.fault('preference-channels', 'channels')}
      on:change={(event) =>
        void station.prefer({ channels: (event.currentTarget as HTMLTextAreaElement).value })}
    />
    <p class="muted">
      {texts.aContactThereIsLogged}
    </p>
  </div>
  <div>
    <Select size="sm" labelText={texts.whatThePiecesAreFor} bind:selected={shown}>
      {#each plan.filter((b) => b.segments.length > 0) as { name } (name)}
        <SelectItem value={name} text={metres(name)} />
      {/each}
    </Select>
    <table class="list">
      <thead
        ><tr
          ><th class="number">{texts.fromKhz}</th><th class="number">{texts.toKhz}</th><th
            >{texts.byCustom}</th
          ></tr
        ></thead
      >
      <tbody>
        {#each band?.segments ?? [] as segment (segment.lowHz)}
          <tr>
            <td class="mono number">{kiloHertz(segment.lowHz)}</td>
            <td class="mono number">{kiloHertz(segment.highHz)}</td>
            <td>{segment.words}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
</div>

<style>
  .columns {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 400px);
    gap: 48px;
    max-width: 1080px;
  }

  h2:not(:first-child) {
    margin-top: 16px;
  }

  .keys {
    margin: 8px 0;
  }

  .keys button {
    min-width: 64px;
  }

  .number {
    text-align: right;
  }

  table {
    margin-top: 8px;
  }

  td {
    height: 28px;
  }

  @media (max-width: 1000px) {
    .columns {
      grid-template-columns: 1fr;
    }
  }
</style>
