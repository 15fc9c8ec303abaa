<script lang="ts">
  import { api, got, Problem, type PostingView } from '../../platform/api/client';
  import Menu from '../../platform/shared/Menu.svelte';
  import { kiloHertz, utcMinute } from '../../platform/shared/format';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { LatestStore } from '../../log/latest.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const navigation = useStore(Navigation);
  const latest = useStore(LatestStore);

  let posting = $state.raw<PostingView | undefined>(undefined);
  let call = $state('');
  let khz = $state('');
  let comment = $state('');
  let node = $state('');
  let problem = $state('');
  let done = $state('');

  async function open() {
    const last = latest.lines.find((line) => line.id === navigation.openContact) ?? latest.lines[0];
    call = last?.call ?? '';
    khz = last?.frequencyHz ? (last.frequencyHz / 1000).toFixed(1) : '';
    comment = '';
    problem = '';
    done = '';
    try {
      posting = await got(api.GET('/api/onair/posting'));
    } catch (e) {
      problem = e instanceof Problem ? e.message : texts.yokebarDoesNotAnswer;
    }
  }

  async function post(event: Event) {
    event.preventDefault();
    problem = '';
    done = '';
    try {
      const told = await got(
        api.POST('/api/onair/posting', {
          body: {
            call,
            frequencyHz: Math.round(Number(khz.replace(',', '.').replaceAll(' ', '')) * 1000) || 0,
            comment,
            feedId: node === '' ? undefined : Number(node),
          },
        }),
      );
      done = texts.receivedTheSpotOfOn(told.node, told.call, kiloHertz(told.frequencyHz));
      posting = await got(api.GET('/api/onair/posting'));
    } catch (e) {
      problem = e instanceof Problem ? ([...e.fields.values()][0] ?? e.message) : texts.yokebarDoesNotAnswer;
    }
  }
</script>

<Menu label={texts.postASpot} onopen={open}>
  <form class="post" onsubmit={post} aria-label={texts.postASpot}>
    <label>{texts.call} <input class="mono" bind:value={call} required /></label>
    <label>kHz <input class="mono" bind:value={khz} required /></label>
    <label>{texts.comment} <input bind:value={comment} maxlength="30" /></label>
    {#if (posting?.nodes.length ?? 0) > 1}
      <label
        >{texts.node}
        <select bind:value={node}>
          <option value="">{texts.theFirstConnected}</option>
          {#each posting?.nodes ?? [] as one (one.id)}<option value={String(one.id)}>{one.name}</option
            >{/each}
        </select></label
      >
    {/if}
    <p class="muted">
      {texts.everybodyOnTheClusterReads}
    </p>
    <button class="send">{texts.tellTheCluster}</button>
    {#if problem}<p class="trouble" role="alert">{problem}</p>{/if}
    {#if done}<p role="status">{done}</p>{/if}
    {#each (posting?.posted ?? []).slice(0, 3) as told (told.at)}
      <p class="muted mono">{utcMinute(told.at)} {told.call} {kiloHertz(told.frequencyHz)} {told.comment}</p>
    {/each}
  </form>
</Menu>

<style>
  .post {
    display: flex;
    flex-direction: column;
    gap: 8px;
    width: 280px;
    padding: 8px 12px 12px;
  }

  label {
    display: grid;
    grid-template-columns: 72px 1fr;
    align-items: center;
  }

  input,
  select {
    height: 28px;
    padding: 0 8px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 2px;
    background: var(--yb-ground);
    color: var(--yb-ink);
    font: inherit;
  }

  .send {
    height: 32px;
    border: 0;
    border-radius: 2px;
    background: var(--yb-accent);
    color: var(--yb-on-accent);
    font: inherit;
    font-weight: 600;
    cursor: pointer;
  }
</style>
