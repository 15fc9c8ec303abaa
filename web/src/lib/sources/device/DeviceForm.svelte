<script lang="ts">
  import type { Snippet } from 'svelte';
  import { Button, InlineLoading } from 'carbon-components-svelte';
  import { Problem } from '../../platform/api/client';
  import { texts } from './texts';

  /** The frame every device's form has: its title, what was wrong, and its buttons. */
  let {
    title,
    fresh,
    kind,
    onsave,
    onremove,
    onclose,
    children,
  }: {
    title: string;
    /** Whether the device is new. */
    fresh: boolean;
    /** What it is, such as `radio`; none for one that cannot be removed. */
    kind?: string;
    onsave: () => Promise<void>;
    onremove: () => Promise<void>;
    onclose: () => void;
    children: Snippet<[(field: string) => string]>;
  } = $props();

  let problem = $state.raw<Problem | undefined>(undefined);
  let saving = $state(false);

  const fault = (field: string) => problem?.fields.get(field) ?? '';

  async function save(event: Event) {
    event.preventDefault();
    saving = true;
    problem = undefined;
    try {
      await onsave();
      onclose();
    } catch (e) {
      problem = e instanceof Problem ? e : new Problem(String(e));
    } finally {
      saving = false;
    }
  }

  async function remove() {
    await onremove();
    onclose();
  }
</script>

<form class="card-form" onsubmit={save} aria-label={title}>
  <h3>{title}</h3>
  {@render children(fault)}
  <div class="card-act">
    <Button size="small" type="submit" disabled={saving}>{fresh ? texts.addAndConnect : texts.save}</Button>
    <Button size="small" kind="ghost" on:click={onclose}>{texts.cancel}</Button>
    {#if !fresh && kind}
      <Button size="small" kind="danger-ghost" on:click={remove}>{texts.removeThisKind(kind)}</Button>
    {/if}
    {#if saving}<InlineLoading description={texts.saving} />{/if}
  </div>
  {#if problem && problem.fields.size === 0}<p class="trouble across" role="alert">{problem.message}</p>{/if}
</form>
