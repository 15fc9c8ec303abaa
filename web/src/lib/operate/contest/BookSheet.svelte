<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { useStore } from '../../platform/page/stores';
  import { clock } from '../../platform/shared/clock.svelte';
  import { memory } from '../../platform/shared/memory';
  import { OpenBookStore } from './book.svelte';
  import BookImport from './BookImport.svelte';
  import BookForm from './BookForm.svelte';
  import BookPanels from './BookPanels.svelte';
  import { BookStore } from './books.svelte';
  import ContestLine from './ContestLine.svelte';
  import { PanelLayout } from './layout.svelte';
  import ScoreBoard from './ScoreBoard.svelte';
  import { TeamStore } from './team/team.svelte';
  import { bookState } from './state';
  import { texts } from './texts';

  let { id }: { id: number } = $props();

  const navigation = useStore(Navigation);
  const books = useStore(BookStore);
  const store = useStore(OpenBookStore);
  const team = useStore(TeamStore);
  let asked = $state<'change' | 'import' | 'files' | 'remove' | undefined>(undefined);

  const FILES = [
    { path: 'adi', text: texts.contactsAsAdi },
    { path: 'csv', text: texts.contactsAsCsv },
    { path: 'report', text: texts.reportAsText },
    { path: 'report-pdf', text: texts.reportAsPdf },
  ];
  const layout = new PanelLayout(memory);

  const book = $derived(books.all?.find((one) => one.id === id));

  $effect(() => {
    const opened = id;
    // What the store reads to open a book is no reason to open it again.
    return untrack(() => {
      void store.open(opened);
      const endWatch = team.watch();
      return () => {
        endWatch();
        store.close();
      };
    });
  });

  async function remove() {
    if (await books.remove(id)) navigation.go('contest');
  }
</script>

<section class="view sheet" aria-label={texts.contestBook}>
  {#if !book}
    {#if books.problem}<p class="trouble" role="alert">{books.problem}</p>
    {:else}<p class="muted">{books.all ? texts.thereIsNoSuchBook : texts.readingTheBook}</p>{/if}
    <p><a href="#/contest">{texts.allBooks}</a></p>
  {:else}
    <header class="view-head">
      <h1>{book.contest}</h1>
      <span class="mono">{book.ownCall}</span>
      {#if book.power}<span class="muted">{book.power}</span>{/if}
      <span class="muted">{bookState(book, clock.now)}</span>
      <span class="grow"></span>
      <button class="more" onclick={() => layout.toggleSecond()}
        >{layout.second ? texts.onePanel : texts.secondPanel}</button
      >
      <a href={`/api/contest-books/${id}/cabrillo`} download>{texts.exportCabrillo}</a>
      <button class="more" onclick={() => (asked = asked === 'files' ? undefined : 'files')}
        >{texts.otherFiles}</button
      >
      <button class="more" onclick={() => (asked = 'import')}>{texts.importALog}</button>
      <button class="more" onclick={() => (asked = 'change')}>{texts.change}</button>
      <button class="more" onclick={() => (asked = 'remove')}>{texts.deleteThisBook}</button>
      <a href="#/contest">{texts.allBooks}</a>
    </header>
    {#if asked === 'change'}
      <BookForm {book} onsaved={() => (asked = undefined)} onclose={() => (asked = undefined)} />
    {:else if asked === 'import'}
      <BookImport {id} onclose={() => (asked = undefined)} />
    {:else if asked === 'files'}
      <div class="act" role="group" aria-label={texts.otherFiles}>
        {#each FILES as { path, text } (path)}
          <a href={`/api/contest-books/${id}/${path}`} download>{text}</a>
        {/each}
      </div>
    {:else if asked === 'remove'}
      <div class="act" role="group" aria-label={texts.deleteBook}>
        <span>{texts.deleteTheBook}</span>
        <Button size="small" on:click={remove}>{texts.deleteBook}</Button>
        <Button kind="secondary" size="small" on:click={() => (asked = undefined)}>{texts.cancel}</Button>
      </div>
    {/if}
    {#if store.score}
      <ScoreBoard score={store.score} />
      <BookPanels {layout} {book} score={store.score} />
    {:else if !store.problem}
      <p class="muted">{texts.readingTheBook}</p>
    {/if}
    <div class="foot"><ContestLine {book} /></div>
  {/if}
</section>

<style>
  .sheet {
    display: flex;
    flex-direction: column;
    gap: 12px;
    padding-bottom: 4px;
  }

  .sheet .view-head {
    margin-bottom: 0;
  }

  .grow {
    flex: 1;
  }

  .act {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 16px;
    padding: 4px 12px;
    border-left: 3px solid var(--yb-accent);
    background: var(--yb-panel);
  }

  .foot {
    flex: none;
    margin-top: auto;
    padding: 8px 0 4px;
    border-top: 1px solid var(--yb-line-strong);
  }
</style>
