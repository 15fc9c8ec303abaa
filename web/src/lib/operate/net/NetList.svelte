<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { onMount } from 'svelte';
  import type { Net } from '../../platform/api/client';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { useStore } from '../../platform/page/stores';
  import { counted, shortMegaHertz, utcDate, utcMinute } from '../../platform/shared/format';
  import MarkWordsForm from './MarkWordsForm.svelte';
  import NetForm from './NetForm.svelte';
  import { NetStore } from './nets.svelte';
  import { texts } from './texts';

  const navigation = useStore(Navigation);
  const nets = useStore(NetStore);

  onMount(() => void nets.load());

  /** The net whose settings are open; 0 for a new one. */
  let edited = $state<number | undefined>(undefined);

  const running = (net: Net) => net.sessions.find((session) => session.endedAt === undefined);

  async function start(net: Net) {
    navigation.go('nets', String(await nets.start(net.id)));
  }

  /** The first nine are started by their number. */
  function onkeydown(event: KeyboardEvent) {
    const typing = event.target instanceof Element && event.target.closest('input, textarea, [role=dialog]');
    const net = nets.all?.[Number(event.key) - 1];
    if (!net || typing || event.ctrlKey || event.altKey || event.metaKey) return;
    event.preventDefault();
    void start(net);
  }

  const where = (net: Net) =>
    [
      net.frequencyHz === undefined ? '' : `${shortMegaHertz(net.frequencyHz)} MHz`,
      net.mode ?? '',
      net.usualTimes,
    ]
      .filter(Boolean)
      .join(' · ');
</script>

<svelte:window {onkeydown} />

<section class="view" aria-label={texts.nets}>
  <div class="view-head">
    <h1>{texts.nets}</h1>
    <span class="muted">{texts.startASessionAndType}</span>
  </div>
  {#if nets.problem}
    <p class="trouble" role="alert">{nets.problem}</p>
  {:else if !nets.all}
    <p class="muted">{texts.readingTheNets}</p>
  {:else}
    {#if nets.all.length === 0}
      <p class="muted">{texts.noNetYetAddThe}</p>
    {/if}
    <div class="nets">
      {#each nets.all as net, i (net.id)}
        <section aria-label={net.name}>
          <header>
            <div>
              <h2>
                {#if i < 9}<kbd>{i + 1}</kbd>{/if}
                {net.name}
              </h2>
              <p class="muted">{where(net) || texts.noFrequencyOrTimeNoted}</p>
            </div>
            <div class="act">
              <Button size="small" on:click={() => start(net)}
                >{running(net) ? texts.resumeSession : texts.startSession}</Button
              >
              <Button
                kind="ghost"
                size="small"
                on:click={() => (edited = edited === net.id ? undefined : net.id)}>{texts.editNet}</Button
              >
            </div>
          </header>
          {#if edited === net.id}
            <NetForm {net} onclose={() => (edited = undefined)} />
          {/if}
          {#if net.sessions.length === 0}
            <p class="muted">{texts.noSessionYet}</p>
          {:else}
            <table class="list">
              <thead
                ><tr><th>{texts.session}</th><th>UTC</th><th class="number">{texts.checkIns}</th></tr></thead
              >
              <tbody>
                {#each net.sessions as session (session.id)}
                  <tr>
                    <td><a href={`#/nets/${session.id}`}>{utcDate(session.startedAt)}</a></td>
                    <td class="mono"
                      >{utcMinute(session.startedAt)}–{session.endedAt
                        ? utcMinute(session.endedAt)
                        : 'now'}</td
                    >
                    <td class="number mono"
                      ><span class="visually-hidden">{counted(session.checkIns, 'check-in')}</span><span
                        aria-hidden="true">{session.checkIns}</span
                      ></td
                    >
                  </tr>
                {/each}
              </tbody>
            </table>
          {/if}
          <p class="roster"><a href={`#/nets/roster-${net.id}`}>{texts.rosterAndAttendance}</a></p>
        </section>
      {/each}
    </div>
    {#if edited === 0}
      <NetForm onclose={() => (edited = undefined)} />
    {:else}
      <Button kind="tertiary" size="small" on:click={() => (edited = 0)}>{texts.addNet}</Button>
    {/if}
    {#if nets.words}
      <MarkWordsForm words={nets.words} onclose={() => (nets.words = undefined)} />
    {:else if edited !== 0}
      <Button kind="ghost" size="small" on:click={() => nets.loadWords()}>{texts.wordsOfTheNetSheet}</Button>
    {/if}
  {/if}
</section>

<style>
  .nets {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(420px, 100%), 1fr));
    gap: 24px 48px;
    margin-bottom: 24px;
  }

  header {
    display: flex;
    align-items: flex-start;
    justify-content: space-between;
    gap: 16px;
    margin-bottom: 8px;
  }

  .act {
    display: flex;
    flex: none;
    gap: 4px;
  }

  td {
    height: 28px;
  }

  .roster {
    margin-top: 8px;
  }

  .number {
    padding-right: 0;
    text-align: right;
  }
</style>
