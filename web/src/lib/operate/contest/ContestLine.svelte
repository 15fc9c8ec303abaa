<script lang="ts">
  import { Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { onMount } from 'svelte';
  import type { ContestBook, Spot } from '../../platform/api/client';
  import { useStore } from '../../platform/page/stores';
  import { ReceivedTextStore } from '../../sources/text/received.svelte';
  import RefusedLines from '../../platform/shared/RefusedLines.svelte';
  import { clock } from '../../platform/shared/clock.svelte';
  import { kiloHertz } from '../../platform/shared/format';
  import { OnAirStore } from '../onair/on-air.svelte';
  import LikelyCalls from '../line/LikelyCalls.svelte';
  import NextStations from './calling/NextStations.svelte';
  import { OpenBookStore } from './book.svelte';
  import ContestLineSays from './ContestLineSays.svelte';
  import { nextWay, sends, type Slot } from './sending/line-steps.svelte';
  import { HeardCalls } from './receiving/heard-calls.svelte';
  import ReceivedStrip from './receiving/ReceivedStrip.svelte';
  import { lastLines } from './receiving/words';
  import SendingBar from './sending/SendingBar.svelte';
  import { TextStore } from './sending/texts-to-send.svelte';
  import TeamStrip from './team/TeamStrip.svelte';
  import { texts } from './texts';
  import { shortWorth } from './worth/worth';

  let { book }: { book: ContestBook } = $props();

  const store = useStore(OpenBookStore);
  const toSend = useStore(TextStore);
  const received = useStore(ReceivedTextStore);
  const MODES = ['', 'CW', 'SSB', 'FM', 'RTTY', 'FT8'];
  const modes = $derived(MODES.includes(store.mode) ? MODES : [...MODES, store.mode]);
  let input = $state<HTMLInputElement | null>(null);

  onMount(() => {
    input?.focus();
    // Paper that was typed into another book says nothing of this one.
    if (fromPaper && !store.paper.isWithin(book)) store.paper.begin(undefined, book.from);
  });

  const view = $derived(store.view);
  const fromPaper = $derived(store.steps.way === 'PAPER');

  const likely = $derived(
    (view?.likely ?? []).map(({ call, oneSlip, worth }) => ({
      call,
      because: [oneSlip ? texts.oneSlip : '', worth ? shortWorth(worth) : '']
        .filter((one) => one)
        .join(' · '),
    })),
  );
  let choice = $state(-1);

  const RECEIVED_LINES = 3;
  const heard = new HeardCalls();
  /** After the contest nobody is worked from it any more, and the room is needed for the report. */
  const receives = $derived(book.radioteletype && !fromPaper && clock.now < Date.parse(book.until));
  const lines = $derived(receives ? lastLines(received.now.agreed, RECEIVED_LINES) : []);
  $effect(() => {
    if (lines.length > 0) heard.ask(book.id, lines, store.place, store.score?.contacts);
  });

  function takeReceived(word: string | undefined) {
    if (word !== undefined) store.takeWord(word, heard.of(word) !== undefined);
    input?.focus();
  }

  function take(index: number) {
    const guess = likely[index];
    if (guess) store.takeCall(guess.call);
    choice = -1;
    input?.focus();
  }

  const onAir = useStore(OnAirStore);
  const ranks = $derived(onAir.running()?.id === book.id && !fromPaper);
  const next = $derived(store.calling.next(onAir.contestList.spots, store.contacts, clock.now));
  $effect(() => (ranks ? onAir.contestList.watch() : undefined));

  /** Radio and antenna go to a station, and its call into the line. */
  async function goTo(spot: Spot | undefined) {
    if (!ranks || !spot) return;
    if (store.correction.contact) {
      store.problem = texts.endTheCorrectionFirst;
      return;
    }
    await store.calling.answer(spot, Date.now());
    input?.focus();
    const went = await onAir.contestList.go(spot.id, false);
    if (!went) store.problem = onAir.contestList.failure;
    else if (!went.good) store.problem = `${went.call}: ${went.sentence}`;
  }

  /** A key without a text is the browser's. */
  const isOnAKey = (key: string): key is Slot =>
    /^F\d+$/.test(key) && sends(store.steps.way) && toSend.text(store.steps.way, key as Slot) !== '';

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'Enter') {
      // A key that is held down must not send text after text.
      if (event.repeat) event.preventDefault();
      else if (likely[choice]) take(choice);
      else if (event.ctrlKey) void store.log();
      else void store.enter();
    } else if (event.altKey && event.key.toLowerCase() === 'w') {
      store.work(nextWay(store.steps.way), book.from);
    } else if (event.altKey && event.key.toLowerCase() === 'e') {
      store.correctOlder();
    } else if (event.altKey && event.key.toLowerCase() === 's') {
      // A key that is held down must not drive the radio through the band.
      if (!event.repeat) void goTo(next[0]);
    } else if (event.altKey && event.key.toLowerCase() === 'r') {
      if (!event.repeat) void store.calling.back();
    } else if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
      if (store.keyer.keysItself)
        void store.keyer.setSpeed(store.keyer.speed + (event.key === 'ArrowUp' ? 1 : -1));
    } else if (event.altKey && event.key.toLowerCase() === 'c') {
      takeReceived(heard.newest(lines));
    } else if (event.altKey && event.key.toLowerCase() === 'n') {
      takeReceived(heard.newestPart(lines));
    } else if (isOnAKey(event.key)) {
      if (!event.repeat) void store.sendKey(event.key);
    } else if (event.key === 'Escape' && store.keyer.text !== '' && store.keyer.transmits) {
      void store.keyer.stop();
    } else if (event.key === 'Tab' && !event.shiftKey && likely.length > 0) {
      choice = (choice + 1) % likely.length;
    } else if (event.key === 'Escape' && store.correction.contact) {
      store.leaveCorrection();
    } else if (event.key === 'Escape' && store.text !== '') {
      store.wipe();
      choice = -1;
    } else if (event.key === 'ArrowUp' && store.text === '') {
      store.recall();
    } else {
      return;
    }
    event.preventDefault();
    event.stopPropagation();
  }
</script>

<div class="line">
  {#if receives}<ReceivedStrip {lines} calls={heard} ontake={takeReceived} />{/if}
  <RefusedLines lines={store.lines} />
  <div class="where">
    {#if view?.fromRadio}
      <span><span class="mono">{kiloHertz(view.frequencyHz)}</span> kHz {view.mode ?? ''}</span>
    {:else}
      <TextInput
        size="sm"
        labelText={texts.frequency}
        placeholder="14025"
        value={store.frequency}
        on:input={(event) => store.tune(String(event.detail ?? ''), store.mode)}
      />
      <Select
        size="sm"
        labelText={texts.mode}
        selected={store.mode}
        on:update={(event) => store.tune(store.frequency, String(event.detail))}
      >
        {#each modes as mode (mode)}<SelectItem value={mode} text={mode} />{/each}
      </Select>
      {#if fromPaper}
        <TextInput
          size="sm"
          labelText={texts.day}
          placeholder="2026-10-24"
          value={store.paper.day}
          on:change={(event) => store.setPaperDay(String(event.detail ?? ''))}
        />
      {:else if view && !view.band}<span class="muted">{texts.noRadio}</span>{/if}
    {/if}
    {#if store.calling.leftBehind}
      <button class="more" onclick={() => void store.calling.back()}
        >{texts.backTo(kiloHertz(store.calling.leftBehind.frequencyHz))}</button
      >
    {/if}
    {#if view}<span>{texts.youSend} <strong class="mono">{view.send}</strong></span>{/if}
    <SendingBar
      way={store.steps.way}
      speed={view?.next && store.keyer.keysItself ? store.keyer.speed : undefined}
      sending={store.keyer.text}
      failure={store.keyer.failure}
      onway={(way) => {
        store.work(way, book.from);
        input?.focus();
      }}
      onspeed={(speed) => void store.keyer.setSpeed(speed)}
      onstop={() => {
        void store.keyer.stop();
        input?.focus();
      }}
    />
  </div>
  {#if !fromPaper}<TeamStrip onback={() => input?.focus()} />{/if}
  {#if ranks}<NextStations spots={next} ongo={(spot) => void goTo(spot)} />{/if}
  {#if view?.noTexts}<p class="muted">{view.noTexts}</p>{/if}
  <LikelyCalls calls={likely} label={texts.likelyCalls} {choice} ontake={take} />
  <input
    bind:this={input}
    class="mono entry-input"
    value={store.text}
    oninput={(event) => {
      choice = -1;
      store.type(event.currentTarget.value);
    }}
    {onkeydown}
    aria-label={texts.contestLine}
    aria-describedby="contest-line-says"
    placeholder={fromPaper
      ? texts.aTimeACallAndTheExchange(book.exchange.join('   '))
      : texts.aCallAndTheExchange(book.exchange.join('   '))}
    autocomplete="off"
    autocapitalize="off"
    spellcheck="false"
  />
  <ContestLineSays {store} />
</div>

<style>
  .line {
    display: flex;
    flex-direction: column;
    gap: 4px;
  }

  .where {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 24px;
    min-height: 28px;
  }

  .where :global(.bx--form-item) {
    flex: none;
    width: 140px;
  }
</style>
