<script lang="ts">
  import { texts } from './texts';

  let { value, transmitting }: { value?: number; transmitting: boolean } = $props();

  const FULL = 30;
  const MARKS = ['1', '3', '5', '7', '9', '+20', '+40'];
</script>

<div
  class="meter"
  role="meter"
  aria-label={transmitting ? texts.power : texts.signal}
  aria-valuemin="0"
  aria-valuemax={FULL}
  aria-valuenow={value ?? 0}
>
  <span class="muted name">{transmitting ? texts.power : 'S'}</span>
  <div class="bar">
    <div class="fill" style:width={`${((value ?? 0) / FULL) * 100}%`}></div>
    {#if !transmitting}
      <div class="marks mono" aria-hidden="true">
        {#each MARKS as mark (mark)}<span>{mark}</span>{/each}
      </div>
    {/if}
  </div>
</div>

<style>
  .meter {
    display: flex;
    gap: 8px;
    margin-top: 4px;
  }

  .name {
    width: 40px;
    font-size: 12px;
    line-height: 12px;
  }

  .bar {
    position: relative;
    flex: 1;
    height: 26px;
    border-top: 8px solid var(--yb-raised);
  }

  .fill {
    position: absolute;
    top: -8px;
    left: 0;
    height: 8px;
    background: var(--yb-accent);
  }

  .marks {
    display: flex;
    justify-content: space-between;
    color: var(--yb-ink-2);
    font-size: 11px;
    line-height: 16px;
  }
</style>
