<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { Lane, LogLine } from '../../platform/api/client';
  import { grouped, utcDate, utcMinute } from '../../platform/shared/format';
  import { LaneStore } from './lanes.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { useStore } from '../../platform/page/stores';

  let {
    title,
    hint,
    lines,
    total,
    lane,
  }: { title: string; hint: string; lines: LogLine[]; total: number; lane: Lane } = $props();
  const lanes = useStore(LaneStore);
  const navigation = useStore(Navigation);

  const SHOWN = 8;
  let all = $state(false);
  const shown = $derived(all ? lines : lines.slice(0, SHOWN));

  function reason(line: LogLine): string {
    return line.seals.find((seal) => seal.service === lane.id)?.reason ?? '';
  }
</script>

{#if lines.length > 0}
  <section aria-label={title}>
    <h3 class="small-head">
      {title} <span class="mono">{grouped(total)}</span> <span class="hint">{hint}</span>
    </h3>
    <table>
      <thead class="visually-hidden">
        <tr><th>When</th><th>Call</th><th>Band</th><th>Mode</th><th>Why</th><th>Actions</th></tr>
      </thead>
      <tbody>
        {#each shown as line (line.id)}
          <tr>
            <td class="mono">{utcDate(line.start)} {utcMinute(line.start)}</td>
            <td class="mono call">{line.call}</td>
            <td>{line.band}</td>
            <td>{line.mode}</td>
            <td class="why">{reason(line)}</td>
            <td class="act">
              <Button kind="ghost" size="small" on:click={() => navigation.showContact(line.id)}>Open</Button>
              <Button kind="ghost" size="small" on:click={() => lanes.setMeant(lane.id, line.id, false)}>
                Leave out
              </Button>
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
    {#if lines.length > SHOWN}
      <Button kind="ghost" size="small" on:click={() => (all = !all)}>
        {all ? 'Show fewer' : `Show ${lines.length - SHOWN} more`}
      </Button>
    {/if}
  </section>
{/if}

<style>
  section {
    margin-top: 16px;
  }

  table {
    width: 100%;
    margin-top: 4px;
    border-collapse: collapse;
  }

  td {
    height: 32px;
    padding: 0 12px 0 0;
    border-top: 1px solid var(--yb-line);
    white-space: nowrap;
    vertical-align: middle;
  }

  .call {
    font-weight: 600;
  }

  .why {
    width: 100%;
    white-space: normal;
  }

  .act {
    padding: 0;
    text-align: right;
  }
</style>
