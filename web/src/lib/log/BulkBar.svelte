<script lang="ts">
  import { Button, Modal, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { api, got, Problem, type BulkPreview } from '../platform/api/client';
  import { counted, grouped } from '../platform/shared/format';
  import type { Chosen } from './chosen.svelte';
  import { MAIN_FIELDS, PROPAGATION } from './fields';
  import SendChosen from './SendChosen.svelte';
  import { ChangeStore } from './change/changes.svelte';
  import { LogStore } from './log.svelte';
  import { useStore } from '../platform/page/stores';
  import { texts } from './texts';

  /** @param onback called when the keyboard leaves the actions for the rows */
  let { chosen, onback }: { chosen: Chosen; onback?: () => void } = $props();
  const changesStore = useStore(ChangeStore);
  const log = useStore(LogStore);

  let bar = $state<HTMLDivElement | null>(null);

  export function focus() {
    bar?.querySelector('button')?.focus();
  }

  const FIELDS = [
    { name: 'PROP_MODE', label: texts.howTheSignalTravelled },
    ...MAIN_FIELDS.filter((f) => f.name !== 'CALL'),
  ];
  let asking = $state<'edit' | 'delete' | undefined>(undefined);
  let field = $state('PROP_MODE');
  let value = $state('');
  let preview = $state.raw<BulkPreview | undefined>(undefined);
  let problem = $state('');
  let request = 0;

  const selection = $derived(chosen.selection(log.search));

  $effect(() => {
    if (asking === 'edit') {
      void look(field, value);
    }
  });

  async function look(name: string, to: string) {
    const mine = ++request;
    try {
      const fresh = await got(
        api.POST('/api/changes/preview', { body: { selection, changes: { [name]: to } } }),
      );
      if (mine === request) {
        preview = fresh;
        problem = '';
      }
    } catch (e) {
      if (mine === request) {
        preview = undefined;
        problem = e instanceof Problem ? e.message : String(e);
      }
    }
  }

  function outcome(look: BulkPreview): string {
    const of = look.lookedAt < look.chosen ? texts.ofTheFirstLookedAt(grouped(look.lookedAt)) : '';
    const rest = look.impossible > 0 ? texts.cannotTakeItAndStay(grouped(look.impossible)) : '';
    return texts.willBeDifferent(counted(look.different, 'contact'), of, rest);
  }

  function carryOut() {
    const change =
      asking === 'edit'
        ? got(api.POST('/api/changes/edit', { body: { selection, changes: { [field]: value } } }))
        : got(api.POST('/api/changes/delete', { body: selection }));
    asking = undefined;
    void changesStore.begin(change);
    none();
  }

  function none() {
    chosen.clear();
    onback?.();
  }
</script>

<svelte:window
  onkeydown={(event) => {
    if (event.key === 'Escape' && event.target instanceof Node && bar?.contains(event.target)) {
      onback?.();
    }
  }}
/>

<div class="bulk" role="region" aria-label={texts.chosenContacts} bind:this={bar}>
  <strong>{texts.chosen(counted(chosen.size, 'contact'))}</strong>
  <Button size="small" kind="tertiary" on:click={() => (asking = 'edit')}>{texts.changeAField}</Button>
  <SendChosen {chosen} />
  <Button size="small" kind="ghost" on:click={() => (asking = 'delete')}>{texts.delete}</Button>
  {#if !chosen.whole && chosen.size < log.found}
    <button class="more" onclick={() => chosen.chooseAll(log.found)}
      >{texts.chooseAllFound(grouped(log.found))}</button
    >
  {/if}
  <button class="more" onclick={none}>{texts.chooseNone}</button>
</div>

<Modal
  size="sm"
  open={asking !== undefined}
  modalHeading={asking === 'delete'
    ? texts.deleteContacts(counted(chosen.size, 'contact'))
    : texts.changeAFieldOf(counted(chosen.size, 'contact'))}
  primaryButtonText={asking === 'delete'
    ? 'Delete'
    : texts.changeWords(preview ? counted(preview.different, 'contact') : '')}
  primaryButtonDisabled={asking === 'edit' && !preview?.different}
  secondaryButtonText={texts.leaveAsItIs}
  danger={asking === 'delete'}
  on:close={() => (asking = undefined)}
  on:click:button--secondary={() => (asking = undefined)}
  on:submit={carryOut}
>
  {#if asking === 'delete'}
    <p>{texts.theyLeaveTheLogAnd}</p>
  {:else if asking === 'edit'}
    <div class="form">
      <Select size="sm" labelText={texts.field} bind:selected={field} on:update={() => (value = '')}>
        {#each FIELDS as f (f.name)}<SelectItem value={f.name} text={f.label} />{/each}
      </Select>
      {#if field === 'PROP_MODE'}
        <Select size="sm" labelText={texts.newValue} bind:selected={value}>
          {#each PROPAGATION as { code, label } (code)}<SelectItem value={code} text={label} />{/each}
        </Select>
      {:else}
        <TextInput size="sm" labelText={texts.newValueEmptyTakesThe} bind:value />
      {/if}
    </div>
    {#if problem}
      <p class="trouble" role="alert">{problem}</p>
    {:else if preview}
      <p role="status">{outcome(preview)}</p>
      <ul>
        {#each preview.samples as sample (sample.id)}
          <li><span class="mono">{sample.call}</span> {sample.what}</li>
        {/each}
        {#each preview.problems as sample (sample.id)}
          <li class="trouble"><span class="mono">{sample.call}</span> {sample.what}</li>
        {/each}
      </ul>
    {:else}
      <p class="muted">{texts.lookingWhatWouldChange}</p>
    {/if}
  {/if}
</Modal>

<style>
  .bulk {
    display: flex;
    align-items: center;
    gap: 12px;
    padding: 6px 24px;
    background: var(--yb-selected);
    border-left: 3px solid var(--yb-accent);
  }

  .form {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 12px;
    margin-bottom: 12px;
  }

  ul {
    margin: 8px 0 0;
    padding: 0;
    list-style: none;
    font-size: 13px;
  }

  li {
    padding: 3px 0;
    border-top: 1px solid var(--yb-line);
  }

  li .mono {
    display: inline-block;
    min-width: 88px;
    font-weight: 600;
  }
</style>
