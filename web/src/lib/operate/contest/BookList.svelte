<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { onMount } from 'svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { useStore } from '../../platform/page/stores';
  import { clock } from '../../platform/shared/clock.svelte';
  import { utcMoment } from '../../platform/shared/format';
  import BookForm from './BookForm.svelte';
  import { BookStore } from './books.svelte';
  import { bookState } from './state';
  import { texts } from './texts';

  const navigation = useStore(Navigation);
  const books = useStore(BookStore);
  let beginning = $state(false);

  onMount(() => void books.load());

  function begun(id: number) {
    beginning = false;
    navigation.go('contest', String(id));
  }
</script>

<section class="view" aria-label={texts.contestBooks}>
  <div class="view-head">
    <h1>{texts.contestBooks}</h1>
    <span class="muted">{texts.aBookCounts}</span>
    <span class="grow"></span>
    <a href="#/contest/definitions">{texts.contestDefinitions}</a>
  </div>
  {#if books.problem}
    <p class="trouble" role="alert">{books.problem}</p>
  {:else if !books.all}
    <p class="muted">{texts.readingTheBooks}</p>
  {:else}
    {#if books.all.length === 0}
      <p class="muted">{texts.noBookYet}</p>
    {:else}
      <table class="list" aria-label={texts.contestBooks}>
        <thead>
          <tr>
            <th>{texts.contest}</th>
            <th>{texts.yourCall}</th>
            <th>{texts.fromUntil}</th>
            <th>{texts.state}</th>
          </tr>
        </thead>
        <tbody>
          {#each books.all as book (book.id)}
            <tr>
              <td><a href={`#/contest/${book.id}`}>{book.contest}</a></td>
              <td class="mono">{book.ownCall}</td>
              <td class="mono">{utcMoment(book.from)} – {utcMoment(book.until)}</td>
              <td>{bookState(book, clock.now)}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
    <div class="act">
      {#if beginning}
        <BookForm onsaved={begun} onclose={() => (beginning = false)} />
      {:else}
        <Button size="small" kind="tertiary" on:click={() => (beginning = true)}>{texts.beginABook}</Button>
      {/if}
    </div>
  {/if}
</section>

<style>
  .grow {
    flex: 1;
  }

  td {
    height: 32px;
  }

  .act {
    margin-top: 16px;
  }
</style>
