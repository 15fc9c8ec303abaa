<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { DigitalProgram } from '../../platform/api/client';
  import { megaHertz, utcSecond } from '../../platform/shared/format';
  import { DecodesStore } from './digital.svelte';
  import { texts } from './texts';

  /** What a digital-mode program does and reads; it is told to answer or to stop. */
  let { program }: { program: DigitalProgram } = $props();

  const id = () => program.id;
  const store = new DecodesStore(id());

  $effect(() => store.watch());
</script>

<section aria-label={texts.digitalProgram}>
  <dl>
    <dt>{texts.itsRadio}</dt>
    <dd class="mono">
      {program.dialHz === undefined ? texts.notReported : megaHertz(program.dialHz)}
      {program.mode ?? ''}
    </dd>
    <dt>{texts.working}</dt>
    <dd>
      {#if program.partner}
        <strong class="mono">{program.partner}</strong>
        {program.transmitting ? texts.transmitting : texts.listening}
      {:else}{texts.nobody}{/if}
    </dd>
  </dl>
  <Button size="small" kind="danger-tertiary" disabled={!program.partner} on:click={() => void store.stop()}>
    {texts.stopTransmitting}
  </Button>
  {#if store.problem}<p class="trouble" role="alert">{store.problem}</p>{/if}
  <h3>{texts.readLately}</h3>
  {#if store.decodes.length === 0}
    <p class="muted">{texts.nothingYet}</p>
  {:else}
    <table class="list" aria-label={texts.readLately}>
      <thead
        ><tr><th>UTC</th><th class="num">dB</th><th class="num">Hz</th><th>{texts.text}</th><th></th></tr
        ></thead
      >
      <tbody>
        {#each store.decodes as decode (decode.id)}
          <tr>
            <td class="mono">{utcSecond(decode.at)}</td>
            <td class="mono num">{decode.snrDb}</td>
            <td class="mono num">{decode.audioHz}</td>
            <td class="mono text" title={decode.text}>{decode.text}</td>
            <td class="act">
              {#if decode.calling}
                <button class="more" disabled={!program.live} onclick={() => void store.answer(decode.id)}
                  >{texts.answer}</button
                >
              {/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
</section>

<style>
  section {
    margin-top: 16px;
  }

  dl {
    display: grid;
    grid-template-columns: 96px 1fr;
    gap: 4px 12px;
    margin-bottom: 12px;
  }

  dt {
    color: var(--yb-ink-2);
  }

  h3 {
    margin: 16px 0 4px;
    font-size: 14px;
    font-weight: 600;
  }

  td {
    padding-block: 2px;
    font-size: 12px;
    white-space: nowrap;
  }

  .text {
    max-width: 140px;
    overflow: hidden;
    text-overflow: ellipsis;
  }

  .num {
    text-align: right;
  }

  .act {
    padding-right: 0;
    text-align: right;
  }
</style>
