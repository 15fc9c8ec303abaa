<script lang="ts">
  import type { LineView } from '../../platform/api/client';

  interface Props {
    calls: LineView['likely'];
    /** Which of them Enter takes; -1 for none. */
    choice: number;
    ontake: (call: string) => void;
  }

  let { calls, choice, ontake }: Props = $props();
</script>

{#if calls.length > 0}
  <div class="likely" role="group" aria-label="Likely calls">
    {#each calls as guess, i (guess.call)}
      <button class:chosen={i === choice} onclick={() => ontake(guess.call)} tabindex="-1">
        <span class="mono">{guess.call}</span>
        <span class="muted">{guess.near ? 'differs by one' : ''} {guess.worked}×</span>
      </button>
    {/each}
  </div>
{/if}

<style>
  .likely {
    display: flex;
    flex-wrap: wrap;
    gap: 4px;
    padding-bottom: 8px;
  }

  .likely button {
    display: flex;
    align-items: center;
    gap: 8px;
    height: 26px;
    padding: 0 10px;
    border: 1px solid var(--yb-line);
    border-radius: 2px;
    background: var(--yb-raised);
    color: var(--yb-ink);
    font: inherit;
    font-size: 13px;
    cursor: pointer;
  }

  .likely .chosen,
  .likely button:hover {
    border-color: var(--yb-accent);
  }
</style>
