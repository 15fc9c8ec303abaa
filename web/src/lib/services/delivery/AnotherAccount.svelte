<script lang="ts">
  import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { Problem } from '../../platform/api/client';
  import type { LaneStore } from './lanes.svelte';
  import { texts } from './texts';

  let { lanes }: { lanes: LaneStore } = $props();

  let kinds = $state.raw<string[] | undefined>(undefined);
  let kind = $state('');
  let name = $state('');
  let problem = $state<Problem | undefined>(undefined);

  async function attempt(what: () => Promise<void>) {
    problem = undefined;
    try {
      await what();
    } catch (e) {
      problem = e instanceof Problem ? e : new Problem(String(e));
    }
  }

  const open = () =>
    attempt(async () => {
      kinds = await lanes.kinds();
      kind = kinds[0] ?? '';
    });

  function add(event: SubmitEvent) {
    event.preventDefault();
    void attempt(async () => {
      await lanes.add(kind, name);
      kinds = undefined;
      name = '';
    });
  }
</script>

{#if kinds}
  <form onsubmit={add} aria-label={texts.anotherAccount}>
    <Select size="sm" labelText={texts.at} bind:selected={kind}>
      {#each kinds as one (one)}
        <SelectItem value={one} text={one} />
      {/each}
    </Select>
    <TextInput
      size="sm"
      labelText={texts.called}
      placeholder={texts.society}
      bind:value={name}
      invalid={problem !== undefined}
      invalidText={problem?.message}
    />
    <div class="beside-fields">
      <Button type="submit" size="small">{texts.addIt}</Button>
      <Button kind="ghost" size="small" on:click={() => (kinds = undefined)}>{texts.cancel}</Button>
    </div>
  </form>
{:else}
  <div class="in-line">
    <Button kind="ghost" size="small" on:click={open}>{texts.addAnotherAccount}</Button>
    {#if problem}<p class="problem" role="alert">{problem.message}</p>{/if}
  </div>
{/if}

<style>
  form {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }

  /* Its words are in line with what is above. */
  .in-line :global(.bx--btn) {
    padding-left: 0;
  }

  /* Below the labels, also while a sentence stands below a field. */
  .beside-fields {
    padding-top: 20px;
  }
</style>
