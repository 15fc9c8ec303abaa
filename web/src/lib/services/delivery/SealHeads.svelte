<script lang="ts">
  import type { Lane } from '../../platform/api/client';

  /** What stands above the shapes: the name of the one service, or the first letters of each. */
  let { lanes, word = false }: { lanes: readonly Lane[]; word?: boolean } = $props();

  const LETTERS = 2;
</script>

<span class="heads">
  {#each lanes as lane (lane.id)}
    {#if word}{lane.name}{:else}<span class="one" title={lane.name}
        ><span aria-hidden="true">{lane.name.slice(0, LETTERS)}</span><span class="visually-hidden"
          >{lane.name}</span
        ></span
      >{/if}
  {/each}
</span>

<style>
  .heads {
    display: inline-flex;
    gap: 6px;
  }

  .one {
    position: relative;
    width: 18px;
  }
</style>
