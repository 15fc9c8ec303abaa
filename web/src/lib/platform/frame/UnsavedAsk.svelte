<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { Navigation } from '../page/navigation.svelte';
  import { useStore } from '../page/stores';

  const navigation = useStore(Navigation);

  let dialog = $state<HTMLDialogElement | null>(null);

  $effect(() => dialog?.showModal());
</script>

<dialog bind:this={dialog} aria-labelledby="unsaved-title" onclose={() => navigation.stay()}>
  <h1 id="unsaved-title">What you typed is not saved</h1>
  <p>Go back to save it, or leave without it.</p>
  <div class="buttons">
    <Button size="small" on:click={() => navigation.stay()}>Go back</Button>
    <Button size="small" kind="ghost" on:click={() => navigation.leave()}>Leave without saving</Button>
  </div>
</dialog>

<style>
  dialog {
    width: min(420px, 92vw);
    padding: 20px 24px;
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
