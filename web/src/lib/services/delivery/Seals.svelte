<script lang="ts">
  import type { Lane, Seal } from '../../platform/api/client';
  import SealGlyph from '../../platform/shared/SealGlyph.svelte';
  import { STATE_NAMES, type LaneState } from './lanes.svelte';

  /** Where a contact stands at each service, a shape each; with one service there is room for the word, too. */
  let {
    lanes,
    seals,
    word = false,
  }: { lanes: readonly Lane[]; seals: readonly Seal[]; word?: boolean } = $props();

  const shown = $derived(
    lanes.map((lane) => {
      const seal = seals.find((one) => one.service === lane.id);
      const state = (seal?.state ?? 'NOT_MEANT') as LaneState;
      return { lane, state, words: STATE_NAMES[state], reason: seal?.reason };
    }),
  );
</script>

<span class="seals">
  {#each shown as { lane, state, words, reason } (lane.id)}
    <span class="one" title={`${lane.name}: ${words}${reason ? `. ${reason}` : ''}`}>
      <SealGlyph {state} />
      <span class:visually-hidden={!word}>{word ? words : `${lane.name}: ${words}`}</span>
    </span>
  {/each}
</span>

<style>
  .seals,
  .one {
    display: inline-flex;
    align-items: center;
  }

  .seals {
    gap: 6px;
    color: var(--yb-ink-2);
    font-size: 12px;
    vertical-align: middle;
  }

  .one {
    position: relative;
    gap: 5px;
    min-width: 18px;
  }
</style>
