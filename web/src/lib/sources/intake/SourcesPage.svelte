<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { clock } from '../../platform/shared/clock.svelte';
  import { ago, counted, grouped } from '../../platform/shared/format';
  import Notch from '../../platform/shared/Notch.svelte';
  import { STATE_WORDS } from '../hookup/hookups.svelte';
  import FollowForm from './FollowForm.svelte';
  import PortForm from './PortForm.svelte';
  import SourceForm from './SourceForm.svelte';
  import { IntakeStore } from './intake.svelte';
  import { StationStore } from '../../station/profile/station.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { HookupStore } from '../hookup/hookups.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const intake = useStore(IntakeStore);
  const station = useStore(StationStore);
  const navigation = useStore(Navigation);
  const hookups = useStore(HookupStore);

  /** What is being set up: the number of a source, a file or a port to be. */
  let setUp = $state<number | 'file' | 'port' | undefined>(undefined);
  let notice = $state('');

  const LONGEST_WHERE = 32;

  const sources = $derived(
    intake.sources.map((source) => ({
      source,
      hookup: hookups.all.find((h) => h.id === source.hookup),
    })),
  );
  const placeName = (id: number | undefined) => station.view?.places.find((p) => p.id === id)?.name;

  /** Of a long path its last parts, which tell files apart. */
  const shortened = (where: string) =>
    where.length > LONGEST_WHERE && where.includes('/') ? `…/${where.split('/').slice(-2).join('/')}` : where;

  async function letGo(id: number, name: string) {
    const contacts = await intake.letGo(id);
    notice = texts.ofMayGoToThe(counted(contacts, 'contact'), name);
  }
</script>

<div class="add">
  <Button size="small" kind="tertiary" on:click={() => (setUp = 'file')}>{texts.followAFile}</Button>
  <Button size="small" kind="tertiary" on:click={() => (setUp = 'port')}>{texts.listenOnAPort}</Button>
  <Button size="small" kind="ghost" href="#/intake/import">{texts.importALogOnce}</Button>
  <span role="status">{notice}</span>
</div>

{#if setUp === 'file'}<FollowForm onclose={() => (setUp = undefined)} />
{:else if setUp === 'port'}<PortForm onclose={() => (setUp = undefined)} />{/if}

<div class="wide">
  <table class="list" aria-label={texts.sources}>
    <thead>
      <tr>
        <th>{texts.source}</th><th>{texts.where}</th><th>{texts.state}</th><th class="num"
          >{texts.lastMinute}</th
        ><th>{texts.lastRecord}</th><th class="choice">{texts.choices}</th>
        <th><span class="visually-hidden">{texts.do}</span></th>
      </tr>
    </thead>
    <tbody>
      {#each sources as { source, hookup } (source.id)}
        <tr>
          <td class="name">{source.name}</td>
          <td class="mono where" title={hookup?.where}>{shortened(hookup?.where ?? source.path ?? '')}</td>
          <td>
            {#if hookup}
              <span class="state"
                ><Notch state={hookup.state} />{hookup.brief ?? STATE_WORDS[hookup.state]}</span
              >
            {/if}
          </td>
          <td class="mono num">{grouped(hookup?.lastMinute ?? 0)}</td>
          <td>{hookup?.lastData ? ago(hookup.lastData, clock.now) : texts.noneSinceTheStart}</td>
          <td class="choice">
            {[
              source.ownCalls.length > 0 ? texts.onlyList(source.ownCalls.join(', ')) : '',
              source.operatorCall ? texts.byOperatorCall(source.operatorCall) : '',
              placeName(source.placeId) ? texts.atPlaceId(placeName(source.placeId) ?? '') : '',
              source.lookUp ? texts.lookedUp : texts.notLookedUp,
              source.holdDeliveries ? texts.held : '',
            ]
              .filter(Boolean)
              .join(' · ')}
          </td>
          <td class="act">
            {#if source.held > 0}
              <button class="more" onclick={() => letGo(source.id, source.name)}
                >{texts.letGoHeld(grouped(source.held))}</button
              >
            {/if}
            <button class="more" onclick={() => navigation.showHookup(source.hookup)}>{texts.test}</button>
            <button class="more" onclick={() => (setUp = setUp === source.id ? undefined : source.id)}
              >{texts.setUp}</button
            >
          </td>
        </tr>
        {#if hookup?.state === 'TROUBLE'}
          <tr class="fault-row"><td colspan="7"><strong>{hookup.reason}</strong> {hookup.fix}</td></tr>
        {/if}
        {#if setUp === source.id}
          <tr><td colspan="7"><SourceForm {source} onclose={() => (setUp = undefined)} /></td></tr>
        {/if}
      {/each}
    </tbody>
  </table>
</div>

<style>
  .add {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 12px;
    margin-bottom: 16px;
  }

  td {
    padding-block: 4px;
    white-space: nowrap;
  }

  th {
    white-space: nowrap;
  }

  .name {
    font-weight: 600;
  }

  .state {
    display: inline-flex;
    align-items: center;
    gap: 8px;
  }

  .where {
    max-width: 260px;
    overflow: hidden;
    text-overflow: ellipsis;
  }

  .choice {
    width: 100%;
    color: var(--yb-ink-2);
    white-space: normal;
  }

  .num {
    text-align: right;
  }

  .act {
    padding-right: 0;
    text-align: right;
  }

  .act button {
    margin-left: 12px;
  }

  .wide {
    overflow-x: auto;
  }

  @container (max-width: 800px) {
    .choice {
      display: none;
    }
  }

  .fault-row td {
    padding-left: 12px;
    border-left: 3px solid var(--yb-trouble);
    white-space: normal;
  }
</style>
