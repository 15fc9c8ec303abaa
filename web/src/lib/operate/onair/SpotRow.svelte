<script lang="ts">
  import type { Spot } from '../../platform/api/client';
  import { clock } from '../../platform/shared/clock.svelte';
  import { grouped, kiloHertz } from '../../platform/shared/format';
  import NeedMark from '../need/NeedMark.svelte';
  import { age, freshness, heardBy } from './words';
  import { texts } from './texts';

  interface Props {
    spot: Spot;
    /** The age at which the bar of freshness is empty, minutes. */
    maxAge: number;
    /** Where it stands in the list, px. */
    top: number;
    selected: boolean;
    onclick: () => void;
  }

  let { spot, maxAge, top, selected, onclick }: Props = $props();
</script>

<div
  id={`spot-${spot.id}`}
  class="row"
  class:selected
  class:doubted={spot.doubt}
  style:top={`${top}px`}
  role="option"
  aria-selected={selected}
  tabindex="-1"
  {onclick}
  onkeydown={() => undefined}
  data-spot={spot.call}
>
  <span
    >{#if spot.mark}<NeedMark mark={spot.mark} size={13} />{/if}</span
  >
  <span class="mono call" title={spot.entity}>{spot.watched ? '★ ' : ''}{spot.call}</span>
  <span class="mono number">{kiloHertz(spot.frequencyHz)}</span>
  <span class="wide">{spot.mode ?? '?'}</span>
  <span class="said">
    <span class="why" title={`${spot.why}${spot.comment ? ` · “${spot.comment}”` : ''}`}>
      {#if spot.contest}<strong class="mono rise">{texts.scoreRise(grouped(spot.contest.rise))}</strong>
        {spot.contest.words}{:else if spot.wants.length > 0 || spot.watched}<strong>{spot.why}</strong
        >{:else}{spot.entity ?? spot.why}{/if}
      {#if spot.comment}<q>{spot.comment}</q>{/if}
    </span>
    <span class="muted ears wide" title={heardBy(spot)}
      ><span>{spot.hearers > 1 ? `${spot.hearers} · ` : ''}{heardBy(spot)}</span></span
    >
  </span>
  <span class="mono number wide">{spot.snrDb ?? ''}</span>
  <span class="age" title={texts.heardAgoWhen(age(spot, clock.now))}>
    <span class="bar" style:width={`${Math.round(freshness(spot, clock.now, maxAge) * 36)}px`}></span>
    <span class="muted">{age(spot, clock.now)}</span>
  </span>
</div>

<style>
  .row {
    display: grid;
    grid-template-columns: var(--spot-columns);
    column-gap: 8px;
    align-items: center;
    position: absolute;
    left: 0;
    right: 0;
    height: 30px;
    border-bottom: 1px solid var(--yb-line);
    cursor: pointer;
    white-space: nowrap;
  }

  .row:hover {
    background: var(--yb-hover);
  }

  .row.selected {
    background: var(--yb-selected);
    box-shadow: inset 3px 0 0 var(--yb-accent);
  }

  .row.doubted .call {
    text-decoration: line-through;
  }

  .row > span,
  .why,
  .ears > span {
    overflow: hidden;
    text-overflow: ellipsis;
  }

  .row > span:first-child {
    padding-left: 6px;
  }

  .call {
    font-weight: 600;
  }

  .number {
    text-align: right;
  }

  /* One below the other, so that they can be compared. */
  .rise {
    display: inline-block;
    min-width: 52px;
    margin-right: 8px;
    text-align: right;
  }

  .why strong {
    font-weight: 500;
  }

  q {
    margin-left: 6px;
    color: var(--yb-ink-2);
  }

  /* Why it is wanted may take what who heard it leaves. */
  .said {
    display: flex;
    grid-column: span 2;
    gap: 8px;
    align-items: baseline;
  }

  .why {
    flex: 1 1 auto;
    min-width: 0;
  }

  .ears {
    flex: 0 1000 138px;
    font-size: 12px;
  }

  .ears > span {
    display: block;
    max-width: 160px;
    margin-left: auto;
    text-align: right;
  }

  .age {
    display: flex;
    align-items: center;
    gap: 6px;
    font-size: 12px;
  }

  .bar {
    flex: none;
    height: 4px;
    background: var(--yb-ink-2);
  }

  @container (max-width: 760px) {
    .said {
      grid-column: auto;
    }

    .wide {
      display: none;
    }
  }

  @container (max-width: 460px) {
    .row {
      column-gap: 6px;
    }

    .bar {
      display: none;
    }
  }
</style>
