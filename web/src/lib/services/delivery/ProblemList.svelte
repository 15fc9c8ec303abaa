<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { Lane, LogLine } from '../../platform/api/client';
  import { grouped, utcDate, utcMinute } from '../../platform/shared/format';
  import { LaneStore } from './lanes.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

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
        <tr
          ><th>{texts.when}</th><th>{texts.call}</th><th>{texts.band}</th><th>{texts.mode}</th><th
            >{texts.why}</th
          ><th>{texts.actions}</th></tr
        >
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
              <Button kind="ghost" size="small" on:click={() => navigation.showContact(line.id)}
                >{texts.open}</Button
              >
              <Button kind="ghost" size="small" on:click={() => lanes.setMeant(lane.id, line.id, false)}>
                {texts.leaveOut}
              </Button>
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
    {#if lines.length > SHOWN}
      <Button kind="ghost" size="small" on:click={() => (all = !all)}>
        {all ? texts.showFewer : texts.showMoreValue(lines.length - SHOWN)}
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
