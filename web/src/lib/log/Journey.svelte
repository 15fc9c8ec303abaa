<script lang="ts">
  import type { JourneyStep } from '../platform/api/client';
  import { localTime, utcDate, utcSecond } from '../platform/shared/format';
  import { texts } from './texts';

  let { steps }: { steps: JourneyStep[] } = $props();

  const WORDS: Record<JourneyStep['kind'], string> = {
    ARRIVED: texts.arrived,
    MERGED: texts.merged,
    DUPLICATE: texts.cameAgain,
    EDITED: texts.edited,
    HELD: texts.held,
    DUE: texts.due,
    HANDED_OVER: texts.handedOver,
    ACCEPTED: texts.accepted,
    REFUSED: texts.refused,
    CONFIRMED: texts.confirmed,
  };
</script>

<ol>
  {#each steps as step, i (i)}
    <li class:bad={step.kind === 'REFUSED'}>
      <p class="when">
        <strong>{WORDS[step.kind]}</strong>
        <time class="mono muted" datetime={step.at} title={localTime(step.at)}>
          {utcDate(step.at)}
          {utcSecond(step.at)}
        </time>
      </p>
      <p>
        {step.sentence}{#if step.madeBy}<span class="muted">{` ${step.madeBy}`}</span>{/if}
      </p>
      {#if step.raw}
        <details>
          <summary>{texts.theRecordAsItCame}</summary>
          <pre class="mono">{step.raw}</pre>
        </details>
      {/if}
    </li>
  {/each}
</ol>

<style>
  ol {
    margin-top: 8px;
    border-left: 2px solid var(--yb-line-strong);
  }

  li {
    position: relative;
    padding: 0 0 14px 16px;
  }

  li::before {
    content: '';
    position: absolute;
    left: -6px;
    top: 6px;
    width: 10px;
    height: 10px;
    border: 2px solid var(--yb-accent);
    border-radius: 5px;
    background: var(--yb-panel);
    box-sizing: border-box;
  }

  li:last-child::before {
    background: var(--yb-accent);
  }

  .bad::before {
    border-color: var(--yb-trouble);
    border-radius: 0;
  }

  .when {
    display: flex;
    justify-content: space-between;
    gap: 8px;
  }

  strong {
    font-weight: 600;
  }

  time {
    font-size: 12px;
  }

  summary {
    color: var(--yb-ink-2);
    cursor: pointer;
  }

  pre {
    margin-top: 4px;
    padding: 8px;
    background: var(--yb-ground);
    font-size: 12px;
    white-space: pre-wrap;
    overflow-wrap: anywhere;
  }
</style>
