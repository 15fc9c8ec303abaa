<script lang="ts">
  import PathMap from './PathMap.svelte';
  import { counted, kiloHertz, utcDate, utcMinute } from '../../platform/shared/format';
  import Matrix from './Matrix.svelte';
  import NeedMark from '../need/NeedMark.svelte';
  import { PartnerStore } from './partner.svelte';
  import { LineStore } from '../line/line.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { StationStore } from '../../station/profile/station.svelte';
  import { RadioStore } from '../../sources/radio/radios.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const partnerStore = useStore(PartnerStore);
  const lineStore = useStore(LineStore);
  const navigation = useStore(Navigation);
  const station = useStore(StationStore);
  const radios = useStore(RadioStore);

  const partner = $derived(partnerStore.view);
  const hint = $derived(lineStore.view?.station);
  const typed = $derived(hint !== undefined && hint.call === partner?.call ? hint : undefined);
  /** What the operator typed stands above what was known. */
  const typedField = (field: string) =>
    typed && lineStore.view?.tokens.find((t) => t.field === field && !t.problem)?.value;
  const worked = $derived(
    texts.workedTimes(counted(partner?.contacts ?? 0, 'time')) +
      (partner?.confirmed ? texts.confirmed(partner.confirmed) : texts.neverConfirmed),
  );
  const bands = $derived(station.view?.preferences.bandsInUse ?? []);
  const band = $derived(lineStore.view?.band ?? radios.chosen?.now?.band);
</script>

<section class="card" aria-label={texts.partner}>
  {#if partner}
    <div class="who">
      {#if partner.callbook?.picture}
        <img
          class="picture"
          src={`/api/callbook/picture?call=${partner.call}`}
          alt={texts.atHomeCall(partner.call)}
        />
      {/if}
      <p class="head">
        <span class="mono call">{partner.call}</span>
        {#if typed?.need}<NeedMark mark={typed.need} />{/if}
      </p>
      <p class="name">
        {[typedField('NAME') ?? partner.name, typedField('QTH') ?? partner.qth].filter(Boolean).join(', ') ||
          (partnerStore.lookup.asking ? texts.askingTheCallbook : texts.noNameKnownYet)}
      </p>
      <p class="muted">
        {#if partner.entity}
          {@const entity = partner.entity}
          {texts.zonesAndName(entity.name, entity.continent, entity.cqZone, entity.ituZone)}
        {:else}{texts.atSeaInTheAir}{/if}
      </p>
      {#if typed?.dupe}<p class="dupe"><strong>{typed.dupe}</strong></p>{/if}
      {#each typed?.wants ?? [] as want (want)}<p class="bring wanted">{want}</p>{/each}
      {#each typed?.brings ?? [] as bring (bring)}<p class="bring">{bring}</p>{/each}
      <p class="times">
        {#if partner.contacts === 0}{texts.notWorkedBefore}
        {:else}
          {worked}{#if partner.lastConfirmed}<span class="muted"
              >{texts.lastOfDate(utcDate(partner.lastConfirmed))}</span
            >{/if}
        {/if}
      </p>
      {#each partner.callbook?.confirms ?? [] as { service, lastUpload } (service)}
        <p class="muted small">{texts.confirmsWithLastLogOf(service, utcDate(lastUpload))}</p>
      {/each}
      {#if partner.lastHandedIn}
        <p class="muted small">{texts.handedItsLogToCountersign(partner.lastHandedIn)}</p>
      {/if}
      {#if partnerStore.lookup.problem}
        <p class="muted small" title={partnerStore.lookup.problem}>{texts.theCallbookCannotBeAsked}</p>
      {/if}
    </div>
    <div class="where"><PathMap /></div>
    <div class="matrix">
      <Matrix {bands} station={partner.station} entity={partner.ofEntity} here={band} />
    </div>
    <div class="earlier">
      {#if partner.earlier.length > 0}
        <ul aria-label={texts.earlierContacts}>
          {#each partner.earlier.slice(0, 3) as line (line.id)}
            <li>
              <button onclick={() => navigation.showContact(line.id)}>
                <span class="mono">{utcDate(line.start)} {utcMinute(line.start)}</span>
                <span class="mono khz">{kiloHertz(line.frequencyHz) || line.band}</span>
                <span>{line.mode}</span>
                <span class="note">{line.more['COMMENT'] ?? line.more['NOTES'] ?? ''}</span>
              </button>
            </li>
          {/each}
        </ul>
      {/if}
    </div>
  {:else}
    <div class="who muted">
      <p>{texts.typeACallIntoThe}</p>
    </div>
    <div class="where"><PathMap /></div>
  {/if}
</section>

<style>
  .card {
    display: grid;
    grid-template-areas: 'who where' 'matrix earlier';
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 4px 20px;
    align-content: start;
    min-height: 272px;
  }

  .picture {
    float: right;
    width: 112px;
    height: 84px;
    margin-left: 12px;
    border-radius: 3px;
    object-fit: cover;
  }

  .small {
    margin: -6px 0 8px;
    font-size: 13px;
  }

  .head {
    display: flex;
    align-items: center;
    gap: 12px;
  }

  .call {
    font-size: 28px;
    font-weight: 600;
    line-height: 36px;
  }

  .name {
    font-size: 16px;
  }

  .dupe {
    margin-top: 6px;
    padding-left: 8px;
    border-left: 3px solid var(--yb-trouble);
  }

  .dupe strong {
    font-weight: 600;
  }

  .bring {
    padding-left: 8px;
    border-left: 3px solid var(--yb-line-strong);
  }

  .wanted {
    border-color: var(--yb-accent);
    font-weight: 600;
  }

  .bring:first-letter {
    text-transform: uppercase;
  }

  .times {
    margin: 6px 0 10px;
  }

  ul {
    margin: 6px 0 0;
    padding: 0;
    list-style: none;
  }

  li button {
    display: grid;
    grid-template-columns: 136px 76px 48px minmax(0, 1fr);
    gap: 8px;
    width: 100%;
    height: 24px;
    padding: 0;
    border: 0;
    border-top: 1px solid var(--yb-line);
    background: none;
    color: var(--yb-ink);
    font: inherit;
    font-size: 13px;
    text-align: left;
    cursor: pointer;
  }

  li button:hover {
    background: var(--yb-hover);
  }

  .khz {
    text-align: right;
  }

  .note {
    overflow: hidden;
    color: var(--yb-ink-2);
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .who {
    grid-area: who;
  }

  .where {
    grid-area: where;
  }

  .matrix {
    grid-area: matrix;
  }

  .earlier {
    grid-area: earlier;
  }

  @container card (max-width: 660px) {
    .card {
      grid-template-areas: 'who where' 'matrix matrix' 'earlier earlier';
      grid-template-columns: minmax(0, 1fr) 228px;
      gap: 4px 16px;
    }

    .picture {
      width: 88px;
      height: 66px;
    }
  }

  @container card (max-width: 440px) {
    .card {
      grid-template-areas: 'who' 'where' 'matrix' 'earlier';
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
