<script lang="ts">
  import { onMount, tick } from 'svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { useStore } from '../../platform/page/stores';
  import { counted, utcDate } from '../../platform/shared/format';
  import { LineStore } from '../line/line.svelte';
  import GalleryBar from './GalleryBar.svelte';
  import PicturePanel from './PicturePanel.svelte';
  import PictureTile from './PictureTile.svelte';
  import { PictureStore } from './pictures.svelte';
  import { offered } from './targets';
  import { texts } from './texts';

  const store = useStore(PictureStore);
  const line = useStore(LineStore);
  const navigation = useStore(Navigation);

  let large = $state(false);
  let noting = $state(false);
  let grid = $state<HTMLElement>();
  let width = $state(0);

  const TILE_WIDTH = 168;
  const GAP = 8;
  /** So many rows are laid out together, and only while they are near the part that is seen. */
  const ROWS = 6;

  const columns = $derived(Math.max(1, Math.floor((width + GAP) / (TILE_WIDTH + GAP))));

  const targets = $derived(offered(store.details, line.view?.station?.call));
  const heading = (picture: (typeof store.pictures)[number]) =>
    store.order === 'TIME' ? utcDate(picture.receivedAt) : (picture.call ?? texts.noContact);

  /** The pictures under their headings, a heading for each day or station. */
  const groups = $derived.by(() => {
    const found: { heading: string; pictures: typeof store.pictures }[] = [];
    for (const picture of store.pictures) {
      const last = found.at(-1);
      if (last?.heading === heading(picture)) last.pictures.push(picture);
      else found.push({ heading: heading(picture), pictures: [picture] });
    }
    return found;
  });

  onMount(() => void store.load());
  $effect(() => {
    if (store.chosenId === undefined) large = false;
  });

  async function attach(index: number) {
    const id = store.chosenId;
    // The contacts near it may still be on their way.
    if (!store.complete) await store.loadDetails();
    const chosen = targets[index];
    if (id !== undefined && id === store.chosenId && chosen) await store.attach(id, chosen.target);
  }

  function blocks(pictures: typeof store.pictures): (typeof store.pictures)[] {
    const size = columns * ROWS;
    return Array.from({ length: Math.ceil(pictures.length / size) }, (_, i) =>
      pictures.slice(i * size, (i + 1) * size),
    );
  }

  async function move(by: number) {
    await store.move(by);
    grid?.querySelector<HTMLElement>('[aria-selected="true"]')?.scrollIntoView({ block: 'nearest' });
  }

  function act(key: string): boolean {
    const id = store.chosenId;
    if (key === 'ArrowRight') void move(1);
    else if (key === 'ArrowLeft') void move(-1);
    else if (key === 'ArrowDown') void move(columns);
    else if (key === 'ArrowUp') void move(-columns);
    else if (id === undefined) return false;
    else if (key === 'Enter') void enlarge(!large);
    else if (key === 'Escape' && large) void enlarge(false);
    else if (key === 'a') void attach(0);
    else if (['1', '2', '3'].includes(key)) void attach(Number(key) - 1);
    else if (key === 'k') void store.setState(id, 'KEPT');
    else if (key === 'h') void store.setState(id, 'HIDDEN');
    else if (key === 'd') void store.detach(id);
    else if (key === 'n') noting = true;
    else if (key === 'r') navigation.go('pictures', 'reply');
    else return false;
    return true;
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.altKey || event.ctrlKey || event.metaKey) return;
    if (act(event.key)) {
      event.preventDefault();
      event.stopPropagation();
    }
  }

  /** In the large view there is no list that could have the keyboard. */
  function onlargekeydown(event: KeyboardEvent) {
    const { target } = event;
    const typing = target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;
    const pressing = target instanceof HTMLButtonElement && event.key === 'Enter';
    if (large && !typing && !pressing) onkeydown(event);
  }

  async function enlarge(next: boolean) {
    large = next;
    await tick();
    if (!large) grid?.focus();
  }

  /** Reads on when the end is near: after scrolling, and after a page that did not fill the list. */
  function readOn() {
    if (grid && grid.scrollHeight - grid.scrollTop - grid.clientHeight < 600) void store.more();
  }

  $effect(() => {
    if (store.page) void tick().then(readOn);
  });
</script>

<svelte:window onkeydown={onlargekeydown} />

<GalleryBar />
{#if store.problem}<p class="trouble" role="alert">{store.problem}</p>{/if}
{#each store.update?.problems.slice(0, 3) ?? [] as problem (problem.file)}
  <p class="trouble"><span class="mono">{problem.file}</span> {texts.wasNotTaken(problem.sentence)}</p>
{/each}
<div class="both" class:large>
  {#if store.pictures.length > 0}
    <div
      class="list"
      bind:this={grid}
      bind:clientWidth={width}
      role="listbox"
      aria-label={texts.receivedPictures}
      tabindex="0"
      {onkeydown}
      onscroll={readOn}
    >
      {#each groups as group (group.heading)}
        <div role="group" aria-label={group.heading}>
          <div class="heading" class:mono={store.order === 'STATION'} aria-hidden="true">{group.heading}</div>
          {#each blocks(group.pictures) as block, i (i)}
            <div class="tiles" role="presentation" style:--columns={columns}>
              {#each block as picture (picture.id)}
                <PictureTile
                  {picture}
                  chosen={picture.id === store.chosenId}
                  onchoose={() => {
                    void store.choose(picture.id);
                    grid?.focus();
                  }}
                  onenlarge={() => void enlarge(true)}
                />
              {/each}
            </div>
          {/each}
        </div>
      {/each}
      {#if store.page && store.pictures.length < store.page.total}
        <div class="heading" aria-hidden="true">
          {counted(store.page.total - store.pictures.length, texts.morePicture)}
        </div>
      {/if}
    </div>
  {:else}
    <p class="muted">
      {#if !store.page}{texts.readingThePictures}
      {:else if store.settings?.folder === ''}{texts.noFolderYet}
        <a href="#/pictures/folders">{texts.chooseTheFolder}</a>
        {texts.inWhichYourPictureProgram}
      {:else if store.call !== ''}{texts.noPictureHereIsOf}
      {:else if store.state === 'WAITING'}{texts.noNewPictureEachAppears}
      {:else}{texts.noPicturesHere}
      {/if}
    </p>
  {/if}
  {#if store.details}
    <PicturePanel
      details={store.details}
      {targets}
      {large}
      bind:noting
      onattach={(index) => void attach(index)}
      onenlarge={() => void enlarge(!large)}
      onback={() => grid?.focus()}
    />
  {/if}
</div>

<style>
  .both {
    display: flex;
    flex: 1;
    gap: 24px;
    min-height: 0;
  }

  .list {
    flex: 1;
    overflow-y: auto;
    scrollbar-color: var(--yb-line-strong) transparent;
  }

  .list:focus-visible {
    outline-offset: -2px;
  }

  .heading {
    padding: 4px 0;
    color: var(--yb-ink-2);
    font-weight: 600;
  }

  .tiles {
    display: grid;
    grid-template-columns: repeat(var(--columns), minmax(0, 1fr));
    gap: 8px;
    padding-bottom: 8px;
    content-visibility: auto;
    contain-intrinsic-height: auto 1100px;
  }

  .large .list {
    display: none;
  }

  @media (max-width: 900px) {
    .both {
      flex-direction: column-reverse;
    }
  }
</style>
