<script lang="ts">
  import { Select, SelectItem } from 'carbon-components-svelte';
  import { onMount } from 'svelte';
  import { api, got, type Position } from '../../platform/api/client';
  import SavedMark from '../../platform/shared/SavedMark.svelte';
  import { StationStore } from '../profile/station.svelte';
  import { PositionStore } from './positions.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  /** Operator, place, radio and call of one position; each is saved as it is chosen. */
  let { position }: { position: Position } = $props();
  const station = useStore(StationStore);
  const positions = useStore(PositionStore);

  // Only their names: a position knows nothing else about radios.
  let radios = $state.raw<{ id: number; name: string }[]>([]);
  onMount(async () => (radios = await got(api.GET('/api/radios'))));

  const view = $derived(station.view);
  const saved = $derived(positions.saving.saved(`position-${position.id}`));
  const problem = $derived(positions.saving.fault(`position-${position.id}`));
  const save = (draft: Parameters<typeof positions.save>[1]) => positions.save(position.id, draft);
  const calls = $derived([
    { callSign: view?.ownCall ?? '', words: texts.theStationsOwn(view?.ownCall ?? texts.noneYet) },
    ...(view?.calls ?? []).map((c) => ({
      callSign: c.callSign,
      words: [c.callSign, c.note, c.validNow ? '' : texts.notValidToday].filter(Boolean).join(', '),
    })),
  ]);
</script>

<Select
  size="sm"
  labelText={texts.operator}
  selected={position.operatorId ?? 0}
  on:update={(event) => save({ operatorId: Number(event.detail) })}
>
  <SelectItem value={0} text={texts.nobodyInParticular} />
  {#each view?.operators ?? [] as operator (operator.id)}
    <SelectItem value={operator.id} text={[operator.callSign, operator.name].filter(Boolean).join(', ')} />
  {/each}
</Select>
<Select
  size="sm"
  labelText={texts.place}
  selected={position.placeId ?? 0}
  on:update={(event) => save({ placeId: Number(event.detail) })}
>
  <SelectItem value={0} text={texts.noPlaceChosen} />
  {#each view?.places ?? [] as place (place.id)}
    <SelectItem value={place.id} text={place.locator ? `${place.name}, ${place.locator}` : place.name} />
  {/each}
</Select>
<Select
  size="sm"
  labelText={texts.radio}
  selected={position.radioId ?? 0}
  on:update={(event) => save({ radioId: Number(event.detail) })}
>
  <SelectItem value={0} text={radios[0] ? texts.theFirstName(radios[0].name) : texts.none} />
  {#each radios as radio (radio.id)}
    <SelectItem value={radio.id} text={radio.name} />
  {/each}
</Select>
<Select
  size="sm"
  labelText={texts.callOnTheAir}
  selected={position.chosenCall ?? view?.ownCall ?? ''}
  on:update={(event) => save({ ownCall: String(event.detail) })}
>
  {#each calls as call (call.callSign)}
    <SelectItem value={call.callSign} text={call.words} />
  {/each}
</Select>
{#if position.callProblem}<p class="fault">{position.callProblem}</p>{/if}
<SavedMark {saved} {problem} />
