<script lang="ts">
  import { Checkbox, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import type { PlaceView, Radio } from '../../platform/api/client';
  import { texts } from './texts';

  export interface Choices {
    ownCalls: string;
    placeId: string;
    radioId?: string;
    operatorCall: string;
    holdDeliveries: boolean;
    lookUp: boolean;
  }

  /** What is done with the records of a source. */
  let {
    choices = $bindable(),
    places,
    radios = [],
    otherwise = 'as the position says',
    fault = () => '',
  }: {
    choices: Choices;
    places: readonly PlaceView[];
    radios?: readonly Radio[];
    /** What becomes of a blank nobody fills. */
    otherwise?: string;
    fault?: (field: string) => string;
  } = $props();
</script>

<div class="choices">
  <TextInput
    size="sm"
    labelText={texts.onlyContactsOfTheseCalls}
    placeholder={texts.emptyForAll}
    bind:value={choices.ownCalls}
    invalid={fault('ownCalls') !== ''}
    invalidText={fault('ownCalls')}
  />
  <TextInput
    size="sm"
    labelText={texts.operatorWhereTheRecordHas}
    placeholder={otherwise}
    bind:value={choices.operatorCall}
    invalid={fault('operatorCall') !== ''}
    invalidText={fault('operatorCall')}
  />
  {#if choices.radioId !== undefined && radios.length > 1}
    <Select size="sm" labelText={texts.radioWhereNeitherBandNor} bind:selected={choices.radioId}>
      <SelectItem value="0" text={texts.none} />
      {#each radios as radio (radio.id)}
        <SelectItem value={String(radio.id)} text={radio.name} />
      {/each}
    </Select>
  {/if}
  <Select size="sm" labelText={texts.placeWhereTheRecordHas} bind:selected={choices.placeId}>
    <SelectItem value="0" text={otherwise} />
    {#each places as place (place.id)}<SelectItem value={String(place.id)} text={place.name} />{/each}
  </Select>
  <div class="checks">
    <Checkbox labelText={texts.lookUpNameAndLocator} bind:checked={choices.lookUp} />
    <Checkbox labelText={texts.holdWithTheServicesUntil} bind:checked={choices.holdDeliveries} />
  </div>
</div>

<style>
  .choices {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 12px;
    align-items: start;
  }

  .checks {
    display: flex;
    flex-wrap: wrap;
    grid-column: 1 / -1;
    gap: 4px 32px;
  }

  .checks :global(.bx--form-item) {
    flex: 0 0 auto;
    margin: 0;
  }
</style>
