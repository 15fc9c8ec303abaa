<script lang="ts">
  import { api, got, Problem, type NamedFilter } from '../../platform/api/client';
  import { useStore } from '../../platform/page/stores';
  import { EVERYTHING, WANTED } from './filter';
  import { OnAirStore } from './on-air.svelte';
  import { texts } from './texts';

  /** Filters that were given a name. */
  const onAir = useStore(OnAirStore);

  const filter = $derived(onAir.air.filter);
  let views = $state.raw<NamedFilter[]>([]);
  let name = $state('');
  let problem = $state('');

  const failed = (e: unknown) => (problem = e instanceof Problem ? e.message : texts.yokebarDoesNotAnswer);

  got(api.GET('/api/onair/views')).then((all) => (views = all), failed);

  async function keep(event: Event) {
    event.preventDefault();
    try {
      views = await got(api.PUT('/api/onair/views', { body: { name, filter } }));
      name = '';
      problem = '';
    } catch (e) {
      failed(e);
    }
  }

  async function drop(view: string) {
    views = await got(api.DELETE('/api/onair/views/{name}', { params: { path: { name: view } } }));
  }
</script>

<div class="menu-form">
  <button class="more" onclick={() => onAir.filterBy(EVERYTHING)}>{texts.everythingOnTheAir}</button>
  <button class="more" onclick={() => onAir.filterBy(WANTED)}>{texts.whatINeed}</button>
  {#each views as view (view.name)}
    <div class="saved">
      <button class="more" onclick={() => onAir.filterBy(view.filter)}>{view.name}</button>
      <button class="more" aria-label={texts.forgetName(view.name)} onclick={() => void drop(view.name)}
        >×</button
      >
    </div>
  {/each}
  <form class="pair" onsubmit={keep}>
    <input bind:value={name} placeholder={texts.nameForThisFilter} aria-label={texts.nameForThisFilter} />
    <button class="more" disabled={name.trim() === ''}>{texts.keepIt}</button>
  </form>
  {#if problem}<p class="trouble said" role="alert">{problem}</p>{/if}
</div>

<style>
  .menu-form > .more,
  .saved {
    display: flex;
    justify-content: space-between;
    width: 100%;
    padding: 4px 0;
    text-align: left;
  }
</style>
