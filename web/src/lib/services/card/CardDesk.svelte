<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { Problem, type CardPile, type LogLine, type PaperCard } from '../../platform/api/client';
  import { counted, grouped, utcDate, utcMinute } from '../../platform/shared/format';
  import { CardStore } from './cards.svelte';
  import ElectronicCards from './ElectronicCards.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { LaneStore } from '../delivery/lanes.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const navigation = useStore(Navigation);
  const lanes = useStore(LaneStore);

  const desk = new CardStore();
  const PILES = [
    {
      pile: 'TO_SEND',
      label: texts.toSend,
      empty: texts.noCardIsWantedChoose,
    },
    { pile: 'SENT', label: texts.sent, empty: texts.noCardOfOursIs },
    { pile: 'RECEIVED', label: texts.received, empty: texts.noPaperCardHasCome },
  ] as const;

  let pile = $state<CardPile>('TO_SEND');
  let chosen = $state<Set<number>>(new Set());
  let scanned = $state('');
  let found = $state.raw<LogLine[] | undefined>(undefined);
  let problem = $state('');
  let notice = $state('');

  const present = $derived(PILES.find((p) => p.pile === pile) ?? PILES[0]);
  const ids = $derived(chosen.size > 0 ? [...chosen] : desk.cards.map((card: PaperCard) => card.contact.id));
  const postbag = $derived(lanes.all.find((lane) => lane.name === 'Postbag'));

  $effect(() => {
    void lanes.all;
    void act(() => desk.load(pile));
  });

  $effect(() => {
    if (postbag?.inUse) void act(() => desk.loadElectronic(postbag.id));
  });

  async function act(action: () => Promise<void>, done = '') {
    problem = '';
    try {
      await action();
      if (done) notice = done;
    } catch (e) {
      problem = e instanceof Problem ? e.message : String(e);
    }
  }

  function choose(next: CardPile) {
    pile = next;
    chosen = new Set();
  }

  function toggle(id: number) {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    chosen = next;
  }

  async function scan(event: SubmitEvent) {
    event.preventDefault();
    await act(async () => {
      found = await desk.find(scanned);
      const only = found.length === 1 ? found[0] : undefined;
      if (only) await receive(only);
      else if (found.length === 0) problem = texts.noContactFits(scanned);
    });
  }

  async function receive(line: LogLine) {
    await desk.received([line.id]);
    notice = texts.theCardOfIsIn(line.call);
    found = undefined;
    scanned = '';
    await desk.load(pile);
  }
</script>

<div class="desk">
  <section aria-label={texts.paperCards}>
    <h2>{texts.paper}</h2>
    <div class="bar">
      <div class="keys">
        {#each PILES as one (one.pile)}
          <button aria-pressed={pile === one.pile} onclick={() => choose(one.pile)}>
            {one.label} <span class="mono">{grouped(desk.count(one.pile))}</span>
          </button>
        {/each}
      </div>
      <form onsubmit={scan} aria-label={texts.aCardThatCame}>
        <input aria-label={texts.scanOrTypeACard} placeholder={texts.scanOrTypeACall} bind:value={scanned} />
        <Button type="submit" kind="tertiary" size="small" disabled={!scanned.trim()}
          >{texts.markAsReceived}</Button
        >
      </form>
    </div>
    {#if problem}<p class="trouble" role="alert">{problem}</p>{/if}
    <p role="status" class="muted">{notice}</p>
    {#if found && found.length > 1}
      <div class="found">
        <p>{texts.whichContactIsItFor}</p>
        <div class="keys">
          {#each found.slice(0, 12) as line (line.id)}
            <button onclick={() => act(() => receive(line))}>
              {utcDate(line.start)}
              {utcMinute(line.start)} · {line.band}
              {line.mode}
            </button>
          {/each}
        </div>
      </div>
    {/if}
    {#if desk.cards.length === 0}
      <p class="muted">{present.empty}</p>
    {:else}
      <div class="act">
        <span>{chosen.size > 0 ? counted(chosen.size, 'card') : texts.allValue(grouped(ids.length))}:</span>
        {#if pile === 'TO_SEND'}
          <Button kind="tertiary" size="small" href={desk.pdf('labels', ids)} target="_blank"
            >{texts.printLabels}</Button
          >
          <Button kind="tertiary" size="small" href={desk.pdf('cards', ids)} target="_blank"
            >{texts.printCards}</Button
          >
          <Button
            size="small"
            on:click={() => act(() => desk.sent(ids, pile), texts.cardsSent(counted(ids.length, 'card')))}
            >{texts.markAsSent}</Button
          >
          <Button
            kind="ghost"
            size="small"
            on:click={() => act(() => desk.dropped(ids, pile), texts.notWantedAnyMore)}
            >{texts.notWanted}</Button
          >
        {:else}
          <Button
            kind="ghost"
            size="small"
            disabled={chosen.size === 0}
            on:click={() => act(() => desk.takenBack(ids, pile), texts.takenBack)}
            >{pile === 'SENT' ? texts.notSentAfterAll : texts.itDidNotCome}</Button
          >
        {/if}
      </div>
      {#if desk.count(pile) > desk.cards.length}
        <p class="muted">
          {texts.theNewestOfAreHere(grouped(desk.cards.length), grouped(desk.count(pile)))}
        </p>
      {/if}
      <table class="list" aria-label={present.label}>
        <thead>
          <tr>
            <th><span class="visually-hidden">{texts.choose}</span></th><th>{texts.dateUtc}</th><th
              >{texts.call}</th
            ><th>{texts.band}</th><th>{texts.mode}</th><th>{texts.way}</th><th>{texts.sent}</th><th
              >{texts.received}</th
            >
          </tr>
        </thead>
        <tbody>
          {#each desk.cards as card (card.contact.id)}
            <tr>
              <td
                ><input
                  type="checkbox"
                  aria-label={texts.chooseCall(card.contact.call)}
                  checked={chosen.has(card.contact.id)}
                  onchange={() => toggle(card.contact.id)}
                /></td
              >
              <td class="mono">{utcDate(card.contact.start)} {utcMinute(card.contact.start)}</td>
              <td class="mono"
                ><button class="more mono" onclick={() => navigation.showContact(card.contact.id)}
                  >{card.contact.call}</button
                ></td
              >
              <td>{card.contact.band}</td>
              <td>{card.contact.mode}</td>
              <td>{card.via === 'MANAGER' ? texts.viaManager(card.manager ?? '') : card.via.toLowerCase()}</td
              >
              <td class="mono">{card.sentAt ? utcDate(card.sentAt) : '—'}</td>
              <td class="mono">{card.receivedAt ? utcDate(card.receivedAt) : '—'}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
  </section>

  <ElectronicCards {desk} {postbag} />
</div>

<style>
  .desk {
    display: grid;
    grid-template-columns: minmax(min(520px, 100%), 3fr) minmax(min(280px, 100%), 2fr);
    gap: 32px;
  }

  .bar,
  .act,
  form {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 16px;
  }

  .bar {
    justify-content: space-between;
    margin-bottom: 12px;
  }

  .act {
    margin: 8px 0;
  }

  .bar input {
    width: 180px;
    height: 32px;
    padding: 0 8px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 2px;
    background: var(--yb-raised);
    color: var(--yb-ink);
    font: inherit;
  }

  td {
    height: 30px;
    white-space: nowrap;
  }

  @media (max-width: 1000px) {
    .desk {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
