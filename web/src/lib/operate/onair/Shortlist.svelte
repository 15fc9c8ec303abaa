<script lang="ts">
  import NeedMark from '../need/NeedMark.svelte';
  import { kiloHertz } from '../../platform/shared/format';
  import { OnAirStore } from './on-air.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  /** On the desk: who is on the air and needed most. */
  const onAir = useStore(OnAirStore);

  const SHOWN = 8;
  const list = $derived(onAir.shortlist);
  const best = $derived(list.spots.slice(0, SHOWN));

  let pointed = $state(false);
  let focused = $state(false);

  $effect(() => list.watch());
  /** Nothing moves under the pointer, or under the choice of the keyboard. */
  $effect(() => list.hold(pointed || focused));

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'ArrowDown') {
      list.step(1);
    } else if (event.key === 'ArrowUp') {
      list.step(-1);
    } else if (event.key === 'Enter' && list.chosen) {
      void onAir.goTo(list.chosen.id);
    } else if (event.key === 'x' && list.chosen) {
      void list.strike(list.chosen.id);
    } else {
      return;
    }
    event.preventDefault();
    event.stopPropagation();
  }
</script>

<section aria-label={texts.neededOnTheAir}>
  <h2>{texts.neededOnTheAir} <a href="#/on-air">{texts.allOnAir(list.onAir)}</a></h2>
  {#if list.failure || list.problem}<p class="trouble" role="alert">{list.failure || list.problem}</p>{/if}
  {#if best.length === 0}
    <p class="muted">
      {#if list.loading}{texts.readingWhatIsOnThe}
      {:else if list.onAir === 0}{texts.nobodyIsHeardConnectA} <a href="#/hookups">{texts.hookups}</a>.
      {:else}{texts.noneOfTheStationsHeard(list.onAir)} <a href="#/on-air/goals">{texts.goals}</a>{/if}
    </p>
  {/if}
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div
    class="rows"
    tabindex="0"
    role={best.length > 0 ? 'listbox' : 'group'}
    aria-label={texts.neededStationsArrowKeysChoose}
    aria-activedescendant={list.selected !== undefined ? `needed-${list.selected}` : undefined}
    onpointerenter={() => (pointed = true)}
    onpointerleave={() => (pointed = false)}
    onfocusin={() => (focused = true)}
    onfocusout={() => (focused = false)}
    {onkeydown}
  >
    {#each best as spot (spot.id)}
      <div
        class="row"
        class:selected={spot.id === list.selected}
        class:doubted={spot.doubt}
        role="option"
        aria-selected={spot.id === list.selected}
        tabindex="-1"
        onclick={() => void onAir.goTo(spot.id)}
        onkeydown={() => undefined}
        title={spot.why}
        id={`needed-${spot.id}`}
        data-spot={spot.call}
      >
        <span class="top">
          {#if spot.mark}<NeedMark mark={spot.mark} size={12} />{/if}
          <span class="mono call">{spot.watched ? '★ ' : ''}{spot.call}</span>
          <span class="mono where">{kiloHertz(spot.frequencyHz)}</span>
          <span class="muted">{spot.mode ?? ''}</span>
        </span>
        <span class="why muted"
          >{spot.doubt ?? (spot.watched ? texts.onYourWatchList : (spot.wants[0]?.words ?? spot.why))}</span
        >
      </div>
    {/each}
  </div>
</section>

<style>
  h2 {
    display: flex;
    justify-content: space-between;
  }

  h2 a {
    font-weight: 400;
  }

  .row {
    display: block;
    padding: 5px 6px;
    border-top: 1px solid var(--yb-line);
    cursor: pointer;
  }

  .row:hover {
    background: var(--yb-hover);
  }

  .row.selected {
    background: var(--yb-selected);
    box-shadow: inset 3px 0 0 var(--yb-accent);
  }

  .top {
    display: flex;
    align-items: center;
    gap: 8px;
  }

  .call {
    font-weight: 600;
  }

  .where {
    margin-left: auto;
  }

  .why {
    display: block;
    overflow: hidden;
    font-size: 12px;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .doubted .call {
    font-weight: 400;
    text-decoration: line-through;
  }
</style>
