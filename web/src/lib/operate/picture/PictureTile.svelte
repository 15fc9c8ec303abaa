<script lang="ts">
  import type { ReceivedPicture } from '../../platform/api/client';
  import { shortMegaHertz, utcDate, utcMinute } from '../../platform/shared/format';
  import { texts } from './texts';

  interface Props {
    picture: ReceivedPicture;
    chosen: boolean;
    onchoose: () => void;
    onenlarge: () => void;
  }

  let { picture, chosen, onchoose, onenlarge }: Props = $props();

  const whose = $derived(
    picture.call ?? (picture.waitsFor ? texts.onceLoggedWaitsFor(picture.waitsFor) : ''),
  );
  const name = $derived(
    texts.receivedUtc(utcDate(picture.receivedAt), utcMinute(picture.receivedAt), whose ? `, ${whose}` : ''),
  );
</script>

<button
  class="tile"
  class:chosen
  role="option"
  aria-selected={chosen}
  aria-label={name}
  tabindex="-1"
  onclick={onchoose}
  ondblclick={onenlarge}
>
  <img src={`/api/pictures/${picture.id}/thumbnail`} alt="" loading="lazy" decoding="async" />
  <span class="facts">
    <span class="mono">{utcMinute(picture.receivedAt)}</span>
    <span class="mono muted"
      >{picture.frequencyHz === undefined ? '' : shortMegaHertz(picture.frequencyHz)}</span
    >
  </span>
  <span class="mono whose">{whose}</span>
</button>

<style>
  .tile {
    display: block;
    padding: 4px;
    border: 1px solid var(--yb-line);
    border-radius: 4px;
    background: var(--yb-panel);
    color: var(--yb-ink);
    font: inherit;
    font-size: 13px;
    text-align: left;
    cursor: pointer;
  }

  .tile:hover {
    border-color: var(--yb-line-strong);
  }

  .chosen,
  .chosen:hover {
    border-color: var(--yb-accent);
    box-shadow: inset 0 0 0 1px var(--yb-accent);
  }

  img {
    display: block;
    width: 100%;
    height: 120px;
    object-fit: contain;
    background: var(--yb-ground);
  }

  .facts {
    display: flex;
    justify-content: space-between;
    padding-top: 4px;
  }

  .whose {
    display: block;
    min-height: 20px;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
</style>
