<script lang="ts">
  import { Select, SelectItem } from 'carbon-components-svelte';
  import { onMount } from 'svelte';
  import { api, got, type Position } from '../../platform/api/client';
  import SavedMark from '../../platform/shared/SavedMark.svelte';
  import { StationStore } from '../profile/station.svelte';
  import { PositionStore } from './positions.svelte';
  import { useStore } from '../../platform/page/stores';

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
    { callSign: view?.ownCall ?? '', words: `${view?.ownCall ?? 'none yet'}, the station's own` },
    ...(view?.calls ?? []).map((c) => ({
      callSign: c.callSign,
      words: [c.callSign, c.note, c.validNow ? '' : 'not valid today'].filter(Boolean).join(', '),
    })),
  ]);
</script>

<Select
  size="sm"
  labelText="Operator"
  selected={position.operatorId ?? 0}
  on:update={(event) => save({ operatorId: Number(event.detail) })}
>
  <SelectItem value={0} text="nobody in particular" />
  {#each view?.operators ?? [] as operator (operator.id)}
    <SelectItem value={operator.id} text={[operator.callSign, operator.name].filter(Boolean).join(', ')} />
  {/each}
</Select>
<Select
  size="sm"
  labelText="Place"
  selected={position.placeId ?? 0}
  on:update={(event) => save({ placeId: Number(event.detail) })}
>
  <SelectItem value={0} text="no place chosen" />
  {#each view?.places ?? [] as place (place.id)}
    <SelectItem value={place.id} text={place.locator ? `${place.name}, ${place.locator}` : place.name} />
  {/each}
</Select>
<Select
  size="sm"
  labelText="Radio"
  selected={position.radioId ?? 0}
  on:update={(event) => save({ radioId: Number(event.detail) })}
>
  <SelectItem value={0} text={radios[0] ? `the first, ${radios[0].name}` : 'none'} />
  {#each radios as radio (radio.id)}
    <SelectItem value={radio.id} text={radio.name} />
  {/each}
</Select>
<Select
  size="sm"
  labelText="Call on the air"
  selected={position.chosenCall ?? view?.ownCall ?? ''}
  on:update={(event) => save({ ownCall: String(event.detail) })}
>
  {#each calls as call (call.callSign)}
    <SelectItem value={call.callSign} text={call.words} />
  {/each}
</Select>
{#if position.callProblem}<p class="fault">{position.callProblem}</p>{/if}
<SavedMark {saved} {problem} />
