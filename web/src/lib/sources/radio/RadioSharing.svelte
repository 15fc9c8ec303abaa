<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { Radio } from '../../platform/api/client';
  import { counted, utcMinute } from '../../platform/shared/format';
  import type { RadioStore } from './radios.svelte';

  let { radio, radios }: { radio: Radio; radios?: RadioStore } = $props();

  const MAX_SHOWN = 4;
  const refused = $derived(!radio.shareTransmit && radio.incidents.some((i) => i.kind === 'NOT_ALLOWED'));
</script>

<dt>Shared on</dt>
<dd>
  {#if radio.shareProblem}
    <span class="trouble">{radio.shareProblem}</span>
  {:else if radio.sharePort}
    <span class="mono">127.0.0.1:{radio.sharePort}</span>, semicolon CAT;
    {radio.programs.length === 0 ? 'no program uses it' : `${counted(radio.programs.length, 'program')}:`}
    {#each radio.programs as program (program.address)}
      <span class="mono program">{program.address}</span>{#if program.keys}<strong> transmits</strong>{/if}
    {/each}
  {:else}
    not shared
  {/if}
</dd>
{#if radio.sharePort}
  <dt>Programs transmit</dt>
  <dd>
    {radio.shareTransmit ? `allowed, at most ${radio.keyingLimitS} s at a time` : 'not allowed'}
    {#if refused && radios}
      <p class="ask">
        A program asked to transmit and was refused.
        <Button size="small" kind="tertiary" on:click={() => void radios.allowTransmit(radio)}
          >Allow programs to transmit</Button
        >
      </p>
    {/if}
  </dd>
  {#if radio.incidents.length > 0}
    <dt>Programs lately</dt>
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
