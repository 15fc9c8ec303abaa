<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { Navigation } from '../page/navigation.svelte';
  import { useStore } from '../page/stores';
  import { texts } from './texts';

  const navigation = useStore(Navigation);

  let dialog = $state<HTMLDialogElement | null>(null);

  $effect(() => dialog?.showModal());
</script>

<dialog bind:this={dialog} aria-labelledby="unsaved-title" onclose={() => navigation.stay()}>
  <h1 id="unsaved-title">{texts.whatYouTypedIsNot}</h1>
  <p>{texts.goBackToSaveIt}</p>
  <div class="buttons">
    <Button size="small" on:click={() => navigation.stay()}>{texts.goBack}</Button>
    <Button size="small" kind="ghost" on:click={() => navigation.leave()}>{texts.leaveWithoutSaving}</Button>
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
