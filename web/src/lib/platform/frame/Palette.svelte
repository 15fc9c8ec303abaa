<script lang="ts">
  import { fitting, type Action } from '../page/action';
  import { Navigation } from '../page/navigation.svelte';
  import { useStore } from '../page/stores';
  import { texts } from './texts';

  let { actions }: { actions: Action[] } = $props();

  const navigation = useStore(Navigation);

  let typed = $state('');
  let at = $state(0);
  let dialog = $state<HTMLDialogElement | null>(null);

  const found = $derived(fitting(actions, typed));
  const current = $derived(Math.min(at, Math.max(0, found.length - 1)));

  $effect(() => dialog?.showModal());

  function run(index: number) {
    const action = found[index];
    navigation.paletteOpen = false;
    void action?.run();
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      at = (current + (event.key === 'ArrowDown' ? 1 : found.length - 1)) % Math.max(1, found.length);
    } else if (event.key === 'Enter') {
      run(current);
    } else {
      return;
    }
    event.preventDefault();
  }
</script>

<dialog bind:this={dialog} aria-label={texts.doAnything} onclose={() => (navigation.paletteOpen = false)}>
  <input
    role="combobox"
    aria-expanded="true"
    aria-controls="palette-actions"
    aria-activedescendant={found[current] ? `action-${current}` : undefined}
    aria-label={texts.whatDoYouWantTo}
    placeholder={texts.whatDoYouWantTo}
    value={typed}
    oninput={(event) => {
      typed = event.currentTarget.value;
      at = 0;
    }}
    {onkeydown}
  />
  <ul id="palette-actions" role={found.length > 0 ? 'listbox' : 'group'} aria-label={texts.actions}>
    {#each found as action, i (action.label)}
      <!-- svelte-ignore a11y_click_events_have_key_events -->
      <li id={`action-${i}`} role="option" aria-selected={i === current} onclick={() => run(i)}>
        <span>{action.label}</span>
        <span class="mono">{action.keys ?? action.also ?? ''}</span>
      </li>
    {/each}
  </ul>
  {#if found.length === 0}<p class="muted">{texts.nothingOfThatName}</p>{/if}
</dialog>

<style>
  dialog {
    width: 520px;
    max-height: 60vh;
    margin: 80px auto;
  }

  input {
    width: 100%;
    height: 48px;
    padding: 0 16px;
    border: 0;
    border-bottom: 2px solid var(--yb-accent);
    background: var(--yb-raised);
    color: var(--yb-ink);
    font: inherit;
    font-size: 16px;
    outline: none;
  }

  input::placeholder {
    color: var(--yb-ink-2);
    opacity: 1;
  }

  ul {
    margin: 0;
    padding: 8px 0;
    list-style: none;
  }

  li {
    display: flex;
    justify-content: space-between;
    padding: 6px 16px;
    cursor: pointer;
  }

  li[aria-selected='true'] {
    background: var(--yb-selected);
    box-shadow: inset 3px 0 0 var(--yb-accent);
  }

  li .mono,
  .muted {
    color: var(--yb-ink-2);
  }

  .muted {
    padding: 0 16px 16px;
  }
</style>
