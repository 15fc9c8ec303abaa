<script lang="ts">
  import { Button, TextInput } from 'carbon-components-svelte';
  import type { ScoreByHand } from '../../../platform/api/client';
  import { useStore } from '../../../platform/page/stores';
  import { BoardStore } from './board.svelte';
  import { texts } from './texts';

  let { ownCall }: { ownCall: string } = $props();

  const store = useStore(BoardStore);
  const NUMBERS = ['score', 'contacts', 'points', 'multipliers'] as const;
  let contest = $state('');
  const start = () => ownCall;
  let call = $state(start());
  let typed = $state({ score: '', contacts: '', points: '', multipliers: '' });

  const fault = (field: string) => store.saving.fault('by-hand', field);
  const number = (text: string) => (/^[\d ]+$/.test(text) ? Number(text.replaceAll(' ', '')) : undefined);

  async function post() {
    const score: ScoreByHand = { contest, call };
    for (const field of NUMBERS) score[field] = number(typed[field]);
    await store.postByHand(score);
  }
</script>

<form
  class="byhand"
  aria-label={texts.postByHand}
  onsubmit={(event) => {
    event.preventDefault();
    void post();
  }}
>
  <TextInput
    size="sm"
    labelText={texts.contest}
    bind:value={contest}
    invalid={!!fault('contest')}
    invalidText={fault('contest')}
  />
  <TextInput
    size="sm"
    labelText={texts.call}
    bind:value={call}
    invalid={!!fault('call')}
    invalidText={fault('call')}
  />
  {#each NUMBERS as field (field)}
    <TextInput
      size="sm"
      labelText={texts[field]}
      bind:value={typed[field]}
      invalid={!!fault(field)}
      invalidText={fault(field)}
    />
  {/each}
  <Button size="small" type="submit">{texts.post}</Button>
</form>
<p class="muted" role="status">
  {store.saving.saved('by-hand') ? texts.itIsPosted : texts.forContestsWithoutABook}
</p>

<style>
  .byhand {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
    gap: 8px 24px;
    align-items: end;
    max-width: 1040px;
  }

  p {
    margin: 8px 0 16px;
  }
</style>
