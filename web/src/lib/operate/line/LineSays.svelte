<script lang="ts">
  import { useStore } from '../../platform/page/stores';
  import NeedMark from '../need/NeedMark.svelte';
  import { LineStore } from './line.svelte';
  import { texts } from './texts';

  interface Props {
    onundo: () => void;
    /** A doubt was settled, and typing goes on. */
    onsettled: () => void;
  }

  let { onundo, onsettled }: Props = $props();

  const line = useStore(LineStore);
  const view = $derived(line.view);
  /** Something typed that cannot be. */
  const wrong = $derived(view?.tokens.some((t) => t.problem) ? view.problems[0]?.sentence : undefined);
  /** What could be two things: the piece at the end, for that is where one types. */
  const doubt = $derived(view?.tokens.filter((t) => t.otherwise).at(-1));
  /** What is still to be typed, or wrong though each word is right. */
  const missing = $derived(view?.problems[0]?.sentence);
</script>

<div class="says" id="line-says" role="status">
  {#if wrong && line.text.trim() !== '' && !view?.tunes}
    <span class="trouble">{wrong}</span>
  {:else if view?.tunes}
    <span>{view.radio ? texts.enterTunesTheRadio : texts.enterKeepsThisForThe}</span>
  {:else if view?.station}
    {#if view.station.need}<NeedMark mark={view.station.need} />{/if}
    <span class="entity">{view.station.entity ?? texts.noEntity}</span>
    {#if view.station.dupe}<strong class="dupe">{view.station.dupe}</strong>
    {:else}<span class="muted"
        >{view.station.worked === 0 ? texts.newStation : texts.worked(view.station.worked)}</span
      >{/if}
    {#if missing}<span class="missing">{missing}</span>{/if}
  {:else if line.outcome}
    <span class="done">{line.outcome.sentence}</span>
    {#if line.outcome.changeId !== undefined}<button class="more" onclick={onundo}>{texts.undo}</button>{/if}
  {/if}
  {#if doubt?.otherwise}
    <button
      class="more"
      onclick={() => {
        line.settle(doubt.from);
        onsettled();
      }}><kbd>Ctrl</kbd>+<kbd>.</kbd> {texts.or} <span class="mono">{doubt.otherwise}</span></button
    >
  {/if}
  {#if line.underWay > 0}<span class="muted">{texts.logging}</span>{/if}
</div>

<style>
  .says {
    display: flex;
    align-items: center;
    gap: 10px;
    max-width: 480px;
    min-height: 36px;
  }

  .entity,
  .dupe,
  .says > .muted {
    flex: none;
  }

  .entity {
    font-weight: 600;
  }

  .dupe {
    color: var(--yb-trouble);
    font-weight: 600;
  }

  .done {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .missing {
    color: var(--yb-trouble);
  }
</style>
