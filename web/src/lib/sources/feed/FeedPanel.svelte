<script lang="ts">
  import { tick } from 'svelte';
  import type { Feed } from '../../platform/api/client';
  import { grouped, utcSecond } from '../../platform/shared/format';
  import { ConsoleStore } from './feeds.svelte';
  import { FeedStore } from './feeds.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  /** In the drawer of a feed: what its lines became, and the lines themselves. */
  let { feed }: { feed: Feed } = $props();
  const feeds = useStore(FeedStore);

  const EVERY_MS = 1_000;
  const lines = $derived(new ConsoleStore(feed.id));
  let typed = $state('');
  /** Whether lines were shown already; the first ones are read from the end. */
  let begun = false;
  let box = $state<HTMLDivElement | null>(null);

  $effect(() => {
    const store = lines;
    void store.load();
    const timer = setInterval(() => {
      void store.load();
      void feeds.load();
    }, EVERY_MS);
    return () => clearInterval(timer);
  });
  $effect(() => {
    void lines.lines;
    const stuck = box && !begun ? true : box && box.scrollHeight - box.scrollTop - box.clientHeight < 60;
    begun ||= lines.lines.length > 0;
    if (stuck) {
      void tick().then(() => box && (box.scrollTop = box.scrollHeight));
    }
  });

  async function say(event: Event) {
    event.preventDefault();
    if (await lines.say(typed)) {
      typed = '';
    }
  }
</script>

<section aria-label={texts.whatTheLinesBecame}>
  <h2>{texts.whatTheLinesBecame}</h2>
  <dl>
    {#each Object.entries(feed.counts) as [what, count] (what)}
      <dt>{what}</dt>
      <dd class="mono">{grouped(count)}</dd>
      {#if feed.examples[what]}<dd class="mono muted example">{feed.examples[what]}</dd>{/if}
    {:else}
      <p class="muted">{texts.noLineThatSaysSomething}</p>
    {/each}
  </dl>
</section>
<section aria-label={texts.console}>
  <h2>{texts.console}</h2>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="console mono" bind:this={box} tabindex="0" role="log" aria-label={texts.lines} aria-live="off">
    {#each lines.lines as line (line.number)}
      <div class:sent={line.sent}>
        <span class="muted">{utcSecond(line.at)}</span>
        {line.sent ? '› ' : ''}{line.text}
      </div>
    {/each}
  </div>
  <form onsubmit={say}>
    <input class="mono" bind:value={typed} placeholder={texts.aCommandSuchAsSh} aria-label={texts.command} />
    <button class="more" disabled={typed.trim() === ''}>{texts.say}</button>
  </form>
  {#if lines.failure || lines.problem}<p class="trouble" role="alert">
      {lines.failure || lines.problem}
    </p>{/if}
</section>

<style>
  h2 {
    margin-top: 16px;
  }

  .example {
    grid-column: 1 / -1;
    overflow: hidden;
    font-size: 12px;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  dl {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 2px 16px;
  }

  dd {
    text-align: right;
  }

  .console {
    height: 260px;
    overflow: auto;
    padding: 6px 8px;
    border: 1px solid var(--yb-line);
    border-radius: 2px;
    background: var(--yb-ground);
    font-size: 11px;
    line-height: 16px;
    white-space: pre;
  }

  .sent {
    color: var(--yb-accent);
  }

  form {
    display: flex;
    gap: 8px;
    margin-top: 6px;
  }

  input {
    flex: 1;
    height: 28px;
    padding: 0 8px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 2px;
    background: var(--yb-ground);
    color: var(--yb-ink);
  }
</style>
