<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { AppState } from './app.svelte';

  let { app }: { app: AppState } = $props();

  let dialog = $state<HTMLDialogElement | null>(null);

  $effect(() => dialog?.showModal());
</script>

<dialog bind:this={dialog} aria-labelledby="unsaved-title" onclose={() => app.stay()}>
  <h1 id="unsaved-title">What you typed is not saved</h1>
  <p>Go back to save it, or leave without it.</p>
  <div class="buttons">
    <Button size="small" on:click={() => app.stay()}>Go back</Button>
    <Button size="small" kind="ghost" on:click={() => app.leave()}>Leave without saving</Button>
  </div>
</dialog>

<style>
  dialog {
    width: min(420px, 92vw);
    margin: auto;
    padding: 20px 24px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 4px;
    background: var(--yb-panel);
    color: var(--yb-ink);
  }

  dialog::backdrop {
    background: rgb(0 0 0 / 45%);
  }

  h1 {
    font-size: 16px;
    font-weight: 600;
  }

  .buttons {
    display: flex;
    gap: 8px;
    margin-top: 16px;
  }
</style>
