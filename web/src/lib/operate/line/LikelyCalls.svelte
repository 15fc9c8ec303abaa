<script lang="ts">
  interface Likely {
    call: string;
    /** Shown behind the call: who that is. */
    name?: string;
    /** Why it is likely. */
    because: string;
  }

  interface Props {
    calls: Likely[];
    label: string;
    /** Which of them Enter takes; -1 for none. */
    choice: number;
    ontake: (index: number) => void;
  }

  let { calls, label, choice, ontake }: Props = $props();
</script>

{#if calls.length > 0}
  <div class="keys likely" role="group" aria-label={label}>
    {#each calls as guess, i (i)}
      <button class:chosen={i === choice} onclick={() => ontake(i)} tabindex="-1">
        <span class="mono">{guess.call}</span>
        {guess.name ?? ''}
        <span class="muted">{guess.because}</span>
      </button>
    {/each}
  </div>
{/if}

<style>
  .likely {
    padding-bottom: 8px;
  }

  .likely button {
    display: flex;
    align-items: center;
    gap: 8px;
  }

  .likely .chosen {
    border-color: var(--yb-accent);
  }
</style>
