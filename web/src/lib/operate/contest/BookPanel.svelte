<script lang="ts">
  import type { ContestBook, ContestScore } from '../../platform/api/client';
  import { useStore } from '../../platform/page/stores';
  import { OpenBookStore } from './book.svelte';
  import BookContacts from './BookContacts.svelte';
  import BookFindings from './BookFindings.svelte';
  import BookHeader from './BookHeader.svelte';
  import BookMultipliers from './BookMultipliers.svelte';
  import BookProgress from './BookProgress.svelte';
  import BoardPanel from './board/BoardPanel.svelte';
  import HandInPanel from './handing-in/HandInPanel.svelte';
  import type { Panel } from './layout.svelte';
  import TextsPanel from './sending/TextsPanel.svelte';
  import TeamPanel from './team/TeamPanel.svelte';

  let { panel, book, score }: { panel: Panel; book: ContestBook; score: ContestScore } = $props();

  const store = useStore(OpenBookStore);
</script>

{#if panel === 'progress'}<BookProgress {book} {score} />
{:else if panel === 'multipliers'}<BookMultipliers {book} {score} />
{:else if panel === 'mistakes'}<BookFindings id={book.id} {score} />
{:else if panel === 'header'}<BookHeader {book} />
{:else if panel === 'texts'}<TextsPanel />
{:else if panel === 'scoreboard'}<BoardPanel
    bookId={book.id}
    contest={book.cabrilloName}
    ownCall={book.ownCall}
    score={score.score}
  />
{:else if panel === 'team'}<TeamPanel />
{:else if panel === 'handIn'}<HandInPanel bookId={book.id} until={book.until} {score} />
{:else}<BookContacts contacts={store.contacts} {score} />{/if}
