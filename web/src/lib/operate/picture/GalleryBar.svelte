<script lang="ts">
  import { ContentSwitcher, Search, Switch } from 'carbon-components-svelte';
  import { useStore } from '../../platform/page/stores';
  import { PictureStore, type PictureState } from './pictures.svelte';
  import { texts } from './texts';

  /** Which pictures are shown, in which order. */
  const store = useStore(PictureStore);

  const STATES: { id: PictureState; label: string }[] = [
    { id: 'WAITING', label: texts.new },
    { id: 'ATTACHED', label: texts.withAContact },
    { id: 'KEPT', label: texts.kept },
    { id: 'HIDDEN', label: texts.hidden },
  ];
</script>

<div class="bar">
  <nav aria-label={texts.whichPictures}>
    {#each STATES as { id, label } (id)}
      <button
        class:on={store.state === id}
        aria-pressed={store.state === id}
        onclick={() => store.show({ state: id })}
        >{label} <span class="mono">{store.page?.counts[id] ?? ''}</span></button
      >
    {/each}
  </nav>
  <div class="order">
    <ContentSwitcher
      size="sm"
      selectedIndex={store.order === 'TIME' ? 0 : 1}
      on:change={(event) => {
        const order = event.detail === 0 ? 'TIME' : 'STATION';
        if (order !== store.order) void store.show({ order });
      }}
    >
      <Switch text={texts.byTime} />
      <Switch text={texts.byStation} />
    </ContentSwitcher>
  </div>
  <div class="find">
    <Search
      size="sm"
      labelText={texts.onlyOfThisCall}
      placeholder={texts.call}
      value={store.call}
      on:input={(event) => void store.show({ call: (event.target as HTMLInputElement).value })}
      on:clear={() => void store.show({ call: '' })}
    />
  </div>
</div>

<style>
  .bar {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 24px;
    padding-bottom: 12px;
  }

  .bar nav {
    display: flex;
    gap: 4px;
  }

  .bar nav button {
    height: 32px;
    padding: 0 12px;
    border: 1px solid var(--yb-line);
    border-radius: 2px;
    background: none;
    color: var(--yb-ink-2);
    font: inherit;
    cursor: pointer;
  }

  .bar nav .on {
    border-color: var(--yb-accent);
    color: var(--yb-ink);
  }

  .order {
    width: 220px;
  }

  .find {
    width: 200px;
    margin-left: auto;
  }
</style>
