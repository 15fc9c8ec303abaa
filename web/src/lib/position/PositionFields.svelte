<script lang="ts">
  import { Select, SelectItem } from 'carbon-components-svelte';
  import type { Position } from '../api/client';
  import type { AppState } from '../frame/app.svelte';
  import SavedMark from '../shared/SavedMark.svelte';

  /** Operator, place, radio and call of one position; each is saved as it is chosen. */
  let { app, position }: { app: AppState; position: Position } = $props();

  const view = $derived(app.station.view);
  const saved = $derived(app.positions.saving.saved(`position-${position.id}`));
  const problem = $derived(app.positions.saving.fault(`position-${position.id}`));
  const save = (draft: Parameters<typeof app.positions.save>[1]) => app.positions.save(position.id, draft);
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
  <SelectItem value={0} text={app.radios.all[0] ? `the first, ${app.radios.all[0].name}` : 'none'} />
  {#each app.radios.all as radio (radio.id)}
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
