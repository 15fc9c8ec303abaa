<script lang="ts">
  import { LatestStore } from '../../log/latest.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { useStore } from '../../platform/page/stores';
  import { clock } from '../../platform/shared/clock.svelte';
  import { grouped, megaHertz, secondName, secondTime } from '../../platform/shared/format';
  import { preferred } from '../../platform/shared/preferred.svelte';
  import { ClockCheckStore } from '../clock/clock-check.svelte';
  import { HookupStore } from '../hookup/hookups.svelte';
  import { RadioStore } from '../radio/radios.svelte';
  import { texts } from './texts';

  /** The middle of the Yoke: the radio, the log, the time. */
  let { width = $bindable() }: { width: number } = $props();

  const navigation = useStore(Navigation);
  const radios = useStore(RadioStore);
  const latest = useStore(LatestStore);
  const hookups = useStore(HookupStore);
  const clockCheck = useStore(ClockCheckStore);

  const radio = $derived(radios.chosen);
  const now = $derived(radio?.now);
</script>

<div class="hub" bind:offsetWidth={width}>
  {#if now}
    <a class="dial" href="#/desk" title={texts.whatWouldBeLoggedNow(radio?.name ?? '')}>
      <span class="mono time" data-testid="yoke-dial">{megaHertz(now.frequencyHz)}</span>
      <span class="label mode"
        >{[now.mode, now.band?.replace(/(c?m)$/, '\u2009$1')].filter(Boolean).join(' · ')}</span
      >
    </a>
    <span class="divide"></span>
  {/if}
  <span class="label log-label">{texts.log}</span>
  <span class="mono count" data-testid="log-total">{grouped(latest.total)}</span>
  <span class="divide log"></span>
  <span class="clocks" title={texts.timeWhen(secondTime(clock.now), secondName())}>
    <span class="mono time">{clock.utc}</span>
    <span class="label utc">UTC</span>
    {#if preferred.secondClock}
      <span class="second"><span class="mono">{secondTime(clock.now)}</span> {secondName()}</span>
    {/if}
  </span>
  {#if clockCheck.offset}
    <button
      class="offset mono"
      class:bad={hookups.clock?.state === 'TROUBLE'}
      title={clockCheck.view?.sentence}
      onclick={() => navigation.showHookup('clock')}
    >
      {texts.clockOffset(clockCheck.offset)}
    </button>
  {/if}
  {#if hookups.secondCopy?.state === 'TROUBLE'}
    <button
      class="offset bad"
      title={hookups.secondCopy.reason}
      onclick={() => navigation.showHookup('second-copy')}>{hookups.secondCopy.brief}</button
    >
  {/if}
</div>

<style>
  .hub {
    flex: none;
    white-space: nowrap;
    position: relative;
    z-index: 1;
    display: flex;
    align-items: baseline;
    gap: 8px;
    height: 40px;
    padding: 0 12px;
    line-height: 38px;
    border: 2px solid var(--yb-line-strong);
    border-radius: 20px;
    background: var(--yb-ground);
  }

  .dial {
    display: flex;
    align-items: baseline;
    gap: 8px;
    color: inherit;
    text-decoration: none;
    white-space: nowrap;
  }

  .label {
    color: var(--yb-ink-2);
    font-size: 13px;
  }

  .count,
  .time {
    font-size: 18px;
    font-weight: 600;
  }

  .clocks {
    display: flex;
    align-items: baseline;
    gap: 8px;
    white-space: nowrap;
  }

  .second {
    color: var(--yb-ink-2);
    font-size: 13px;
  }

  .offset {
    padding: 0 6px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 2px;
    background: none;
    color: var(--yb-ink);
    font-size: 12px;
    line-height: 22px;
    white-space: nowrap;
    cursor: pointer;
  }

  .offset.bad {
    border-color: var(--yb-trouble);
    color: var(--yb-trouble);
    font-weight: 600;
  }

  @media (max-width: 1000px) {
    .hub {
      gap: 4px;
      padding: 0 12px;
    }

    .divide {
      margin: 0 4px;
    }

    .mode,
    .log-label {
      display: none;
    }
  }

  /* The clock and the frequency stay, whatever else goes. */
  @media (max-width: 700px) {
    .count,
    .utc,
    .divide.log,
    .offset:not(.bad) {
      display: none;
    }

    .hub {
      padding: 0 8px;
    }

    .count,
    .time {
      font-size: 16px;
    }

    .offset.bad {
      max-width: 60px;
      overflow: hidden;
      text-overflow: ellipsis;
    }
  }

  @media (max-width: 480px) {
    .hub {
      padding: 0 6px;
    }
  }

  @media (max-width: 1500px) {
    .second {
      display: none;
    }
  }

  .divide {
    width: 1px;
    height: 20px;
    margin: 0 8px;
    align-self: center;
    background: var(--yb-line);
  }
</style>
