<script lang="ts">
  import type { Radio } from '../api/client';
  import { counted } from '../shared/format';

  let { radio }: { radio: Radio } = $props();
</script>

<dt>Shared on</dt>
<dd>
  {#if radio.shareProblem}
    <span class="trouble">{radio.shareProblem}</span>
  {:else if radio.sharePort}
    <span class="mono">127.0.0.1:{radio.sharePort}</span>, semicolon CAT;
    {radio.programs.length === 0 ? 'no program uses it' : `${counted(radio.programs.length, 'program')}:`}
    {#each radio.programs as program (program.address)}
      <span class="mono program">{program.address}</span>{#if program.keys}<strong> keys</strong>{/if}
    {/each}
  {:else}
    not shared
  {/if}
</dd>

<style>
  dt {
    color: var(--yb-ink-2);
  }

  dd {
    margin: 0;
  }

  .program {
    margin-left: 4px;
  }

  strong {
    color: var(--yb-trouble);
    font-weight: 600;
  }
</style>
