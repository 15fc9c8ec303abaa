<script lang="ts">
  import { Button, TextInput } from 'carbon-components-svelte';
  import { tick } from 'svelte';
  import type { Finding } from '../../platform/api/client';
  import { SearchStore } from '../../sources/search/search.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  let {
    want,
    title,
    words,
    suggestion,
    busy,
    onadd,
    onskip,
  }: {
    want: 'RADIO' | 'ROTATOR';
    title: string;
    words: string;
    /** A name to begin with. */
    suggestion: string;
    busy: boolean;
    onadd: (finding: Finding, name: string) => void;
    onskip: () => void;
  } = $props();
  const search = useStore(SearchStore);

  let name = $state('');
  let form = $state<HTMLFormElement>();
  let touched = false;

  const found = $derived(search.found(want));
  const kind = $derived(want === 'RADIO' ? 'radio' : 'rotator');

  $effect(() => {
    name ||= suggestion;
  });

  // What was found first gets the keyboard, unless the person is somewhere else already.
  $effect(() => {
    if (found.length > 0 && !touched) {
      touched = true;
      void tick().then(() => form?.querySelector<HTMLElement>('button[type="submit"]')?.focus());
    }
  });

  let chosen = $state(0);

  function add(event: Event) {
    event.preventDefault();
    const finding = found[chosen] ?? found[0];
    if (finding) {
      onadd(finding, name);
    }
  }
</script>

<h2>{title}</h2>
<p class="muted">{words}</p>
{#if search.view.running}
  <div class="progress" role="status">
    <progress max="1" value={search.progress} aria-label={texts.search}></progress>
    <span class="muted">{search.view.now ?? texts.looking}</span>
  </div>
{/if}
<form bind:this={form} onsubmit={add} aria-label={texts.addAKind(kind)}>
  {#if found.length > 0}
    <div class="found" role="radiogroup" aria-label={texts.whatWasFound}>
      {#each found as finding, i (finding.address)}
        <label>
          <input type="radio" bind:group={chosen} value={i} />
          {finding.sentence}
        </label>
      {/each}
    </div>
    <div class="name"><TextInput size="sm" labelText={texts.theIsCalled(kind)} bind:value={name} /></div>
  {:else if !search.view.running}
    <p>
      {texts.noAnsweredKind(kind)}
      {#each search.found('NOTHING') as finding (finding.address)}
        <span class="muted">{finding.sentence} {finding.fix ?? ''}</span>
      {/each}
    </p>
  {/if}
  <div class="act">
    {#if found.length > 0}
      <Button size="small" type="submit" disabled={busy || !name.trim()}>{texts.connectIt}</Button>
    {/if}
    {#if search.view.running}
      <Button size="small" kind="ghost" on:click={() => search.cancel()}>{texts.stopLooking}</Button>
    {:else}
      <Button size="small" kind="ghost" on:click={() => search.start()}>{texts.lookAgain}</Button>
    {/if}
    <Button size="small" kind="ghost" on:click={onskip}>{texts.goOnWithout}</Button>
  </div>
</form>

<style>
  h2 {
    font-size: 20px;
    line-height: 32px;
  }

  .progress {
    display: grid;
    gap: 4px;
    margin: 12px 0;
  }

  progress {
    width: 100%;
    height: 6px;
    accent-color: var(--yb-accent);
  }

  .found {
    margin: 16px 0;
  }

  label {
    display: flex;
    gap: 12px;
    align-items: baseline;
    padding: 4px 0;
    overflow-wrap: anywhere;
  }

  label input {
    accent-color: var(--yb-accent);
  }

  .name {
    width: 280px;
  }

  .act {
    display: flex;
    gap: 8px;
    margin: 16px 0;
  }
</style>
