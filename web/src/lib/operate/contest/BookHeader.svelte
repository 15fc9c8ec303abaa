<script lang="ts">
  import { Select, SelectItem } from 'carbon-components-svelte';
  import type { ContestBook, ContestBookDraft } from '../../platform/api/client';
  import { useStore } from '../../platform/page/stores';
  import SavingInput from '../../platform/shared/SavingInput.svelte';
  import { BookStore } from './books.svelte';
  import { texts } from './texts';

  /** What stands in front of the contacts in the Cabrillo log; each field is saved by itself. */
  let { book }: { book: ContestBook } = $props();

  const books = useStore(BookStore);
  const key = $derived(`book-${book.id}`);
  /** Lines of which the log takes several. */
  const LONG = ['ADDRESS', 'SOAPBOX'];

  const fault = (field: string) => books.saving.fault(key, field);
  const save = (change: ContestBookDraft) => void books.correct(book.id, change);
  const saveLine = (name: string, text: string) => save({ header: { [name]: text } });
  const choose = (name: string, choice: string) => {
    if (choice !== (book.category[name] ?? '')) save({ category: { [name]: choice } });
  };
</script>

<div class="header">
  {#each book.categories as category (category.name)}
    <Select
      size="sm"
      labelText={`CATEGORY-${category.name.toUpperCase()}`}
      selected={book.category[category.name] ?? ''}
      invalid={!!fault(`category.${category.name}`)}
      invalidText={fault(`category.${category.name}`)}
      on:update={(event) => choose(category.name, String(event.detail))}
    >
      {#if category.optional}<SelectItem value="" text={texts.noOverlay} />{/if}
      {#each category.choices as choice (choice)}<SelectItem value={choice} text={choice} />{/each}
    </Select>
  {/each}
  {#each book.headerNames as name (name)}
    <SavingInput
      label={name}
      value={book.header[name] ?? ''}
      rows={LONG.includes(name) ? 3 : 1}
      saved={books.saving.saved(key)}
      fault={fault(`header.${name}`)}
      onsave={(text) => saveLine(name, text)}
    />
  {/each}
</div>
{#if books.saving.faultOfWhole(key)}
  <p class="fault" role="alert">{books.saving.faultOfWhole(key)}</p>
{/if}
<p class="muted">{texts.powerAndExchange}</p>

<style>
  .header {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
    gap: 16px 24px;
    align-items: start;
    max-width: 1040px;
    margin-bottom: 16px;
  }
</style>
