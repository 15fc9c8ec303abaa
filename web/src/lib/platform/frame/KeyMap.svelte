<script lang="ts">
  import type { Action, LocalKey } from '../page/action';
  import { Navigation } from '../page/navigation.svelte';
  import { useStore } from '../page/stores';
  import { texts } from './texts';

  let { actions, localKeys }: { actions: Action[]; localKeys: LocalKey[] } = $props();

  const navigation = useStore(Navigation);

  let dialog = $state<HTMLDialogElement | null>(null);
  const everywhere = $derived(actions.filter((action) => action.keys || action.also));
  const places = $derived([...new Set(localKeys.map((key) => key.where))]);

  $effect(() => dialog?.showModal());
</script>

<dialog bind:this={dialog} aria-label={texts.keys} onclose={() => (navigation.keysOpen = false)}>
  <header>
    <h1>{texts.keys}</h1>
    <button class="more" onclick={() => dialog?.close()}>{texts.closeEsc}</button>
  </header>
  <div class="columns">
    <section>
      <h2>{texts.fromAnywhereOutsideOfFields}</h2>
      <dl>
        {#each everywhere as action (action.label)}
          <dt><kbd>{action.keys ?? action.also}</kbd></dt>
          <dd>{action.label}{action.keys && action.also ? ` (${action.also})` : ''}</dd>
        {/each}
      </dl>
    </section>
    <div>
      {#each places as where (where)}
        <section>
          <h2>{where}</h2>
          <dl>
            {#each localKeys.filter((key) => key.where === where) as { keys, label } (keys)}
              <dt><kbd>{keys}</kbd></dt>
              <dd>{label}</dd>
            {/each}
          </dl>
        </section>
      {/each}
    </div>
  </div>
</dialog>

<style>
  dialog {
    width: min(960px, 92vw);
    max-height: 86vh;
    padding: 20px 24px;
  }

  header {
    display: flex;
    justify-content: space-between;
    margin-bottom: 12px;
  }

  h1 {
    font-size: 20px;
    font-weight: 600;
  }

  .columns {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 32px;
  }

  dl {
    display: grid;
    grid-template-columns: max-content 1fr;
    gap: 4px 16px;
    margin: 4px 0 16px;
  }

  dd {
    margin: 0;
  }

  kbd {
    padding: 1px 6px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 2px;
    font-family: var(--yb-mono);
    font-size: 12px;
  }
</style>
