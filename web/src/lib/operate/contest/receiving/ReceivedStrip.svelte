<script lang="ts">
  import { HookupStore } from '../../../sources/hookup/hookups.svelte';
  import { TextProgramStore } from '../../../sources/text/programs.svelte';
  import { ReceivedTextStore } from '../../../sources/text/received.svelte';
  import { useStore } from '../../../platform/page/stores';
  import { tabMemory } from '../../../platform/shared/memory';
  import ReceivedWords from './ReceivedWords.svelte';
  import type { HeardCalls } from './heard-calls.svelte';
  import { texts } from './texts';
  import type { Word } from './words';

  interface Props {
    lines: Word[][];
    calls: HeardCalls;
    ontake: (word: string) => void;
  }

  let { lines, calls, ontake }: Props = $props();

  const programs = useStore(TextProgramStore);
  const received = useStore(ReceivedTextStore);
  const hookups = useStore(HookupStore);

  const EACH_KEY = 'yokebar-contest-each-decoder';
  let each = $state(tabMemory.getItem(EACH_KEY) === 'yes');

  const troubles = $derived(
    programs.all
      .map((program) => hookups.all.find((hookup) => hookup.id === program.hookup))
      .filter((hookup) => hookup && hookup.state !== 'LIVE'),
  );

  const listening = $derived(programs.all.reduce((sum, program) => sum + program.decoders.length, 0));

  function show(all: boolean) {
    each = all;
    tabMemory.setItem(EACH_KEY, all ? 'yes' : 'no');
  }

  /** The end of what one printed, as one line. */
  const end = (text: string) => text.replaceAll('\n', ' ').slice(-150);
</script>

<section class="received" aria-label={texts.receivedText}>
  {#if programs.all.length === 0}
    <p class="muted">{texts.noDecoder} <a href="#/hookups">{texts.connectOne}</a>.</p>
  {:else}
    <header>
      <h2>{texts.receivedText}</h2>
      <span class="muted">{texts.decoders(listening)}</span>
      <button class="more" aria-expanded={each} onclick={() => show(!each)}
        >{each ? texts.onlyTheAgreed : texts.eachDecoder}</button
      >
      {#each troubles as hookup (hookup?.id)}
        <a class="trouble" href="#/hookups" title={hookup?.reason}
          >{texts.notConnected(hookup?.name ?? '', hookup?.state === 'OFF' ? '' : (hookup?.brief ?? ''))}</a
        >
      {/each}
      <span class="grow"></span>
      <span class="muted keys">{texts.keys}</span>
    </header>
    <ReceivedWords lines={each ? lines.slice(-2) : lines} callOf={(word) => calls.of(word)} {ontake} />
    {#if lines.length === 0}<p class="muted">{texts.nothingYet}</p>{/if}
    {#if each}
      <dl>
        {#each received.now.decoders as decoder (decoder.name)}
          <dt class="muted">{decoder.name}</dt>
          <dd class="mono">{end(decoder.text)}</dd>
        {/each}
      </dl>
    {/if}
  {/if}
</section>

<style>
  .received {
    padding: 4px 12px 8px;
    background: var(--yb-panel);
  }

  header {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 4px 16px;
    margin-bottom: 2px;
  }

  h2 {
    font-size: 14px;
  }

  .grow {
    flex: 1;
  }

  dl {
    display: grid;
    grid-template-columns: max-content 1fr;
    gap: 0 16px;
    margin-top: 4px;
    font-size: 13px;
  }

  dd {
    overflow: hidden;
    direction: rtl;
    text-align: left;
    text-overflow: ellipsis;
    white-space: nowrap;
    unicode-bidi: plaintext;
  }
</style>
