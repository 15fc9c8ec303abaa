<script lang="ts">
  import { Button, TextInput } from 'carbon-components-svelte';
  import { onMount, untrack } from 'svelte';
  import { utcDate, utcMinute } from '../../platform/shared/format';
  import { RosterStore } from './roster.svelte';
  import { texts } from './texts';

  let { id }: { id: number } = $props();

  const store = new RosterStore(untrack(() => id));
  const view = $derived(store.view);

  onMount(() => void store.load());

  /** The station that is being added or named; its call is empty for a new one. */
  let edited = $state<{ call: string; name: string; added: boolean } | undefined>(undefined);

  async function save(event: SubmitEvent) {
    event.preventDefault();
    if (edited && (await store.save(edited.call, edited.name))) edited = undefined;
  }

  async function remove(call: string) {
    if (await store.remove(call)) edited = undefined;
  }

  /** The first field has the cursor. */
  function begin(form: HTMLFormElement) {
    form.querySelector('input')?.select();
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'Escape') {
      event.stopPropagation();
      edited = undefined;
    }
  }
</script>

<section class="view" aria-label={texts.roster}>
  <div class="view-head">
    <h1>{texts.rosterOf(view ? texts.ofNet(view.net) : '')}</h1>
    <span class="muted">{texts.whoChecksInGoesOnto}</span>
    <span class="grow"></span>
    <Button kind="tertiary" size="small" on:click={() => (edited = { call: '', name: '', added: true })}
      >{texts.addStation}</Button
    >
    <a href="#/nets">{texts.allNets}</a>
  </div>
  {#if store.problem}
    <p class="trouble" role="alert">{store.problem}</p>
  {:else if !view}
    <p class="muted">{texts.readingTheSessions}</p>
  {:else}
    {#if edited?.added}{@render fields(edited)}{/if}
    {#if view.stations.length === 0}<p class="muted">{texts.nobodyHasCheckedInYetSentence}</p>{/if}
    <table class="list">
      <thead>
        <tr>
          <th>{texts.call}</th>
          <th>{texts.name}</th>
          <th class="number">{texts.sessions}</th>
          {#each view.sessions as session (session.id)}
            <th class="session"
              ><a href={`#/nets/${session.id}`} title={`${utcMinute(session.startedAt)} UTC`}
                >{utcDate(session.startedAt)}</a
              ></th
            >
          {/each}
          <th><span class="visually-hidden">{texts.edit}</span></th>
        </tr>
      </thead>
      <tbody>
        {#each view.stations as station (station.call)}
          {#if edited && !edited.added && edited.call === station.call}
            <tr><td colspan={4 + view.sessions.length}>{@render fields(edited)}</td></tr>
          {:else}
            <tr>
              <td class="mono"
                ><a href={`#/log?find=call:${station.call.toLowerCase()}`}>{station.call}</a></td
              >
              <td>{station.name ?? ''}</td>
              <td class="number mono">{station.times}</td>
              {#each station.present as present, i (i)}
                <td class="session"
                  >{#if present}<span class="present" aria-hidden="true"></span><span class="visually-hidden"
                      >{texts.there}</span
                    >{/if}</td
                >
              {/each}
              <td class="edit"
                ><button
                  class="more"
                  onclick={() => (edited = { call: station.call, name: station.name ?? '', added: false })}
                  aria-label={texts.editCall(station.call)}>{texts.edit}</button
                ></td
              >
            </tr>
          {/if}
        {/each}
      </tbody>
    </table>
  {/if}
</section>

{#snippet fields(member: { call: string; name: string; added: boolean })}
  <!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
  <form
    use:begin
    onsubmit={save}
    {onkeydown}
    aria-label={member.added ? texts.addStation : texts.editCall(member.call)}
  >
    {#if member.added}
      <TextInput
        size="sm"
        labelText={texts.call}
        bind:value={member.call}
        invalid={store.saving.fault('member', 'call') !== ''}
        invalidText={store.saving.fault('member', 'call')}
      />
    {/if}
    <TextInput
      size="sm"
      labelText={member.added ? texts.name : texts.nameOfCall(member.call)}
      bind:value={member.name}
      invalid={store.saving.fault('member', 'name') !== ''}
      invalidText={store.saving.fault('member', 'name')}
    />
    <Button type="submit" size="small">{texts.save}</Button>
    <Button kind="secondary" size="small" on:click={() => (edited = undefined)}>{texts.cancel}</Button>
    {#if !member.added}
      <Button kind="ghost" size="small" on:click={() => remove(member.call)}>{texts.takeOffTheRoster}</Button>
    {/if}
  </form>
{/snippet}

<style>
  form {
    display: flex;
    align-items: flex-end;
    gap: 8px;
    padding: 8px 0;
  }

  form :global(.bx--form-item) {
    flex: 0 1 24ch;
  }

  .edit {
    padding-right: 0;
    text-align: right;
  }

  .grow {
    flex: 1;
  }

  td {
    height: 28px;
    white-space: nowrap;
  }

  .number {
    text-align: right;
  }

  .session {
    text-align: center;
  }

  .present {
    display: inline-block;
    width: 12px;
    height: 12px;
    border-radius: 2px;
    background: var(--yb-accent);
  }
</style>
