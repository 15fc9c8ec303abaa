<script lang="ts">
  import type { TeamMember, TeamMessage } from '../../../platform/api/client';
  import { useStore } from '../../../platform/page/stores';
  import { kiloHertz, utcMinute } from '../../../platform/shared/format';
  import { TeamStore } from './team.svelte';
  import { texts } from './texts';

  const team = useStore(TeamStore);

  const view = $derived(team.view);
  const takenBy = (band: string | undefined) => view?.bands.find((one) => one.band === band);
  const isOurs = (band: string | undefined) => takenBy(band)?.positionId === team.here?.positionId;
  /** Whoever left the book leaves its bands to the others. */
  const isFree = (band: string | undefined) => isOurs(band) || !takenBy(band)?.atWork;
  const away = $derived(
    view?.bands.filter((one) => !view.members.some((member) => member.band === one.band)) ?? [],
  );

  const way = ({ way: chosen }: TeamMember) => (chosen ? texts.ways[chosen] : texts.logOnly);
  const words = ({ call, frequencyHz, text }: TeamMessage) =>
    call ? texts.isPassedOn(call, kiloHertz(frequencyHz)) : text;
</script>

{#if !view}
  {#if team.problem}<p class="trouble" role="alert">{team.problem}</p>
  {:else}<p class="muted">{texts.readingTheTeam}</p>{/if}
{:else}
  {#if team.others.length === 0}<p class="muted about">{texts.onlyThisPosition}</p>{/if}
  <table class="list" aria-label={texts.team}>
    <thead>
      <tr>
        <th>{texts.position}</th>
        <th>{texts.operator}</th>
        <th class="number">{texts.frequency}</th>
        <th>{texts.mode}</th>
        <th>{texts.way}</th>
        <th>{texts.band}</th>
      </tr>
    </thead>
    <tbody>
      {#each view.members as one (one.positionId)}
        <tr>
          <td>{one.name}</td>
          <td>{one.operator ?? ''}</td>
          <td class="number mono">{one.frequencyHz === undefined ? '' : kiloHertz(one.frequencyHz)}</td>
          <td>{one.mode ?? ''}</td>
          <td>{way(one)}</td>
          <td class="band">
            {takenBy(one.band)?.positionId === one.positionId
              ? texts.bandIsTaken(one.band ?? '')
              : (one.band ?? '')}
            {#if one.band && one.positionId === team.here?.positionId && isFree(one.band)}
              {@const band = one.band}
              <button class="more" onclick={() => void team.takeBand(band, !isOurs(band))}
                >{isOurs(band) ? texts.giveTheBandBack(band) : texts.takeTheBand(band)}</button
              >
            {/if}
            {#if one.warning}<span class="trouble">{one.warning}</span>{/if}
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
  {#if away.length > 0}
    <p class="away">
      {texts.takenBands}
      {#each away as one (one.band)}
        <span>{texts.isTakenBy(one.band, one.name)}</span>
        {#if isFree(one.band)}
          <button class="more" onclick={() => void team.takeBand(one.band, false)}
            >{texts.giveTheBandBack(one.band)}</button
          >
        {/if}
      {/each}
    </p>
  {/if}
  {#if view.messages.length > 0}
    <table class="list" aria-label={texts.messages}>
      <thead>
        <tr>
          <th>{texts.time}</th>
          <th>{texts.from}</th>
          <th>{texts.to}</th>
          <th class="wide">{texts.message}</th>
        </tr>
      </thead>
      <tbody>
        {#each view.messages as one (one.id)}
          <tr>
            <td class="mono">{utcMinute(one.at)}</td>
            <td>{one.from}</td>
            <td>{one.to ?? texts.all}</td>
            <td class="wide"
              >{words(one)}
              {#if one.taken}<span class="muted">{texts.wasTaken}</span>{/if}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
  {:else if team.others.length > 0}
    <p class="muted">{texts.noMessages}</p>
  {/if}
{/if}

<style>
  .about {
    max-width: 80ch;
  }

  .about,
  table,
  .away {
    margin-bottom: 12px;
  }

  td {
    height: 28px;
  }

  .number {
    text-align: right;
  }

  .band > * {
    margin-left: 12px;
  }

  .wide {
    width: 60%;
  }

  .away {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 16px;
  }
</style>
