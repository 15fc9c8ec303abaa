<script lang="ts">
  import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { onMount } from 'svelte';
  import type { ContestBook } from '../../platform/api/client';
  import { useStore } from '../../platform/page/stores';
  import { BookStore } from './books.svelte';
  import { utcMoment } from '../../platform/shared/format';
  import { texts } from './texts';

  interface Props {
    /** The book to be corrected; a new one is begun without. */
    book?: ContestBook;
    onsaved: (id: number) => void;
    onclose: () => void;
  }

  let { book, onsaved, onclose }: Props = $props();

  const books = useStore(BookStore);
  onMount(() => void books.loadDefinitions());

  // svelte-ignore state_referenced_locally
  let form = $state({
    contest: book?.contest ?? '',
    ownCall: book?.ownCall ?? '',
    power: book?.power ?? '',
    sent: { ...book?.sent } as Record<string, string>,
  });
  const key = $derived(`book-${book?.id ?? 'new'}`);
  const fault = (field: string) => books.saving.fault(key, field);

  const definition = $derived(books.definitions?.find((one) => one.name === form.contest));
  const given = $derived(definition?.exchange.filter((field) => field.given) ?? []);

  /** The next one to come is the likely choice. */
  $effect(() => {
    const soon = books.definitions?.find((one) => Date.parse(one.until) > Date.now());
    if (form.contest === '' && soon) form.contest = soon.name;
  });

  async function save(event: SubmitEvent) {
    event.preventDefault();
    if (book) {
      if (await books.correct(book.id, form)) onsaved(book.id);
      return;
    }
    const id = await books.begin(form);
    if (id !== undefined) onsaved(id);
  }
</script>

<form class="card-form" onsubmit={save} aria-label={book ? texts.correctBook : texts.newBook}>
  <h3>{book ? texts.correctBook : texts.newBook}</h3>
  {#if !book}
    <Select
      size="sm"
      labelText={texts.contest}
      bind:selected={form.contest}
      invalid={!!fault('contest')}
      invalidText={fault('contest')}
    >
      {#each books.definitions ?? [] as one (one.name)}
        <SelectItem value={one.name} text={`${one.name} · ${utcMoment(one.from)}`} />
      {/each}
    </Select>
    <TextInput
      size="sm"
      labelText={texts.yourCall}
      placeholder={texts.fromTheStation}
      bind:value={form.ownCall}
      invalid={!!fault('ownCall')}
      invalidText={fault('ownCall')}
    />
  {/if}
  {#if definition && definition.powers.length > 0}
    <Select
      size="sm"
      labelText={texts.power}
      bind:selected={form.power}
      invalid={!!fault('power')}
      invalidText={fault('power')}
    >
      <SelectItem value="" text={texts.choose} />
      {#each definition.powers as power (power)}<SelectItem value={power} text={power} />{/each}
    </Select>
  {/if}
  {#each given as field (field.name)}
    <TextInput
      size="sm"
      labelText={texts.sentField(field.name)}
      placeholder={field.allowed.length > 0 ? field.allowed.join(', ') : texts.fromTheStation}
      bind:value={form.sent[field.name]}
      invalid={!!fault(`sent.${field.name}`)}
      invalidText={fault(`sent.${field.name}`)}
    />
  {/each}
  {#if books.saving.faultOfWhole(key)}
    <p class="fault across" role="alert">{books.saving.faultOfWhole(key)}</p>
  {/if}
  <div class="card-act">
    <Button type="submit" size="small">{book ? texts.save : texts.begin}</Button>
    <Button kind="secondary" size="small" on:click={onclose}>{texts.cancel}</Button>
  </div>
</form>
