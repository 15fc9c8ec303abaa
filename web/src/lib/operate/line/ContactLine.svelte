<script lang="ts">
  import LikelyCalls from './LikelyCalls.svelte';
  import LineFields from './LineFields.svelte';
  import LineKept from './LineKept.svelte';
  import LineSays from './LineSays.svelte';
  import OpenLines from './OpenLines.svelte';
  import { LineStore } from './line.svelte';
  import { LineBarStore } from './line-bar.svelte';
  import { ChangeStore } from '../../log/change/changes.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const line = useStore(LineStore);
  const bar = useStore(LineBarStore);
  const changes = useStore(ChangeStore);

  let input = $state<HTMLInputElement | null>(null);
  let choice = $state(-1);

  const view = $derived(line.view);
  const likely = $derived(
    (view?.likely ?? []).map(({ call, near, worked }) => ({
      call,
      because: near ? texts.differsByOne(worked) : `${worked}×`,
    })),
  );
  $effect(() => {
    if (bar.asked && input) {
      bar.asked = false;
      input.focus();
    }
  });

  function take(call: string) {
    const token = view?.tokens.find((t) => t.field === 'CALL');
    const text = token
      ? line.text.slice(0, token.from) + call.toLowerCase() + line.text.slice(token.until)
      : call.toLowerCase();
    line.type(text + (text.endsWith(' ') ? '' : ' '));
    choice = -1;
    input?.focus();
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'Enter') {
      const guess = likely[choice];
      if (guess) {
        take(guess.call);
      } else {
        void line.enter();
      }
    } else if (event.key === '.' && (event.ctrlKey || event.metaKey)) {
      line.settle(input?.selectionStart ?? line.text.length);
    } else if (event.key === 'Escape') {
      if (line.text === '') {
        input?.blur();
        bar.open = false;
      }
      line.clear();
      choice = -1;
    } else if (event.key === 'ArrowUp') {
      line.recall(1);
    } else if (event.key === 'ArrowDown') {
      line.recall(-1);
    } else if (event.key === 'z' && (event.ctrlKey || event.metaKey) && line.text === '') {
      // On an empty line it brings back what was cleared, or else takes back what was logged.
      if (!line.restore()) {
        void undo();
      }
    } else if (event.key === 'Tab' && !event.shiftKey && likely.length > 0 && !line.text.includes(' ')) {
      choice = (choice + 1) % likely.length;
    } else {
      return;
    }
    event.preventDefault();
    event.stopPropagation();
  }

  async function undo() {
    const changeId = await line.takeBack();
    if (changeId !== undefined) void changes.undo(changeId);
  }

  const left = (column: number) => `calc(${column} * 1ch)`;
</script>

<section class="line" aria-label={texts.contactLine} data-says-of={line.readText}>
  <OpenLines {line} corrected={() => input?.focus()} />
  <LikelyCalls
    calls={likely}
    label={texts.likelyCalls}
    {choice}
    ontake={(index) => likely[index] && take(likely[index].call)}
  />
  <div class="typed">
    {#if bar.inFields}
      <LineFields />
    {:else}
      <div class="entry mono">
        <input
          bind:this={input}
          class="mono entry-input"
          value={line.text}
          oninput={(event) => {
            choice = -1;
            line.type(event.currentTarget.value);
          }}
          {onkeydown}
          aria-label={texts.contactLine}
          aria-describedby="line-says"
          placeholder={texts.callReportsNameOrA}
          autocomplete="off"
          autocapitalize="off"
          spellcheck="false"
        />
        <div class="labels" aria-hidden="true">
          {#each view?.tokens ?? [] as token (token.from)}
            <span
              class:bad={token.problem}
              class:doubt={token.otherwise}
              style:left={left(token.from)}
              style:width={left(token.until - token.from)}
              title={token.problem}>{token.label}{token.otherwise ? '?' : ''}</span
            >
          {/each}
        </div>
      </div>
    {/if}
    <LineSays onundo={undo} onsettled={() => input?.focus()} />
    <LineKept />
  </div>
</section>

<style>
  .line {
    position: relative;
    flex: none;
    padding: 8px 24px 10px;
    border-top: 1px solid var(--yb-line-strong);
    background: var(--yb-panel);
  }

  .typed {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    column-gap: 24px;
  }

  @media (max-width: 700px) {
    .line {
      padding: 4px 12px 6px;
    }

    .typed {
      grid-template-columns: minmax(0, 1fr);
    }
  }

  .entry {
    position: relative;
    font-size: 20px;
  }

  .labels {
    position: relative;
    height: 18px;
    overflow: hidden;
  }

  .labels span {
    position: absolute;
    top: 2px;
    border-top: 1px solid var(--yb-line-strong);
    color: var(--yb-ink-2);
    line-height: 14px;
    overflow: hidden;
    white-space: nowrap;
  }

  .labels span::first-line {
    font-family: var(--yb-sans);
    font-size: 11px;
  }

  .labels .bad {
    border-top: 2px solid var(--yb-trouble);
    color: var(--yb-trouble);
  }

  .labels .doubt {
    border-top: 2px dashed var(--yb-accent);
    color: var(--yb-ink);
  }

  .typed > .entry {
    grid-row: 1 / 3;
  }
</style>
