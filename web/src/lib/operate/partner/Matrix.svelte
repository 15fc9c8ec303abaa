<script lang="ts">
  import { GROUPS, NEED_WORDS, stateOf, type Cell } from '../need/need';
  import WorkGlyph from '../need/WorkGlyph.svelte';
  import { texts } from './texts';

  let {
    bands,
    station,
    entity,
    here,
  }: {
    bands: string[];
    station: Cell[];
    entity: Cell[];
    /** The band the contact would be on. */
    here: string | undefined;
  } = $props();
</script>

<table aria-label={texts.workedByBandAndMode}>
  <thead>
    <tr>
      <th><span class="visually-hidden">{texts.mode}</span></th>
      {#each bands as band (band)}<th class:here={band === here}>{band.replace('m', '')}</th>{/each}
    </tr>
  </thead>
  <tbody>
    {#each GROUPS as { group, label } (group)}
      <tr>
        <th>{label}</th>
        {#each bands as band (band)}
          {@const own = stateOf(station, band, group)}
          {@const whole = stateOf(entity, band, group)}
          <td
            class:here={band === here}
            title={texts.stationEntityBand(band, label, NEED_WORDS[own], NEED_WORDS[whole])}
          >
            <WorkGlyph state={own} round size={10} /><WorkGlyph state={whole} size={10} />
          </td>
        {/each}
      </tr>
    {/each}
  </tbody>
</table>

<style>
  table {
    border-collapse: collapse;
  }

  th {
    padding: 0 4px 0 0;
    color: var(--yb-ink-2);
    font-size: 12px;
    font-weight: 400;
    text-align: left;
  }

  thead th {
    padding: 0 2px;
    text-align: center;
  }

  td {
    padding: 2px;
    white-space: nowrap;
    line-height: 0;
  }

  .here {
    background: var(--yb-selected);
    color: var(--yb-ink);
  }
</style>
