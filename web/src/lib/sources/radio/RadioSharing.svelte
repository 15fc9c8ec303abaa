<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { Radio } from '../../platform/api/client';
  import { counted, utcMinute } from '../../platform/shared/format';
  import type { RadioStore } from './radios.svelte';
  import { texts } from './texts';

  let { radio, radios }: { radio: Radio; radios?: RadioStore } = $props();

  const MAX_SHOWN = 4;
  const refused = $derived(!radio.shareTransmit && radio.incidents.some((i) => i.kind === 'NOT_ALLOWED'));
</script>

<dt>{texts.sharedOn}</dt>
<dd>
  {#if radio.shareProblem}
    <span class="trouble">{radio.shareProblem}</span>
  {:else if radio.sharePort}
    <span class="mono">127.0.0.1:{radio.sharePort}</span>{texts.semicolonCatWords(
      radio.programs.length === 0 ? texts.noProgramUsesIt : `${counted(radio.programs.length, 'program')}:`,
    )}
    {#each radio.programs as program (program.address)}
      <span class="mono program">{program.address}</span>{#if program.keys}<strong>
          {texts.transmits}</strong
        >{/if}
    {/each}
  {:else}
    {texts.notShared}
  {/if}
</dd>
{#if radio.sharePort}
  <dt>{texts.programsTransmit}</dt>
  <dd>
    {radio.shareTransmit ? texts.allowedAtMostSAt(radio.keyingLimitS) : texts.notAllowed}
    {#if refused && radios}
      <p class="ask">
        {texts.aProgramAskedToTransmit}
        <Button size="small" kind="tertiary" on:click={() => void radios.allowTransmit(radio)}
          >{texts.allowProgramsToTransmit}</Button
        >
      </p>
    {/if}
  </dd>
  {#if radio.incidents.length > 0}
    <dt>{texts.programsLately}</dt>
    <dd>
      <ul>
        {#each radio.incidents.slice(0, MAX_SHOWN) as incident (incident.at + incident.address + incident.kind)}
          <li>
            <span class="mono">{utcMinute(incident.at)} {incident.address}</span>
            {incident.sentence}
          </li>
        {/each}
      </ul>
    </dd>
  {/if}
{/if}

<style>
  dt {
    color: var(--yb-ink-2);
  }

  dd {
    margin: 0;
  }

  ul {
    margin: 0;
    padding: 0;
    list-style: none;
  }

  .program {
    margin-left: 4px;
  }

  .ask {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    align-items: center;
    margin: 4px 0;
  }

  strong {
    color: var(--yb-trouble);
    font-weight: 600;
  }
</style>
