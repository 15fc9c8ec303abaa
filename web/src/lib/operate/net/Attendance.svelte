<script lang="ts">
  import { onMount } from 'svelte';
  import { api, got, Problem, type NetAttendance } from '../../platform/api/client';
  import { utcDate, utcMinute } from '../../platform/shared/format';

  let { id }: { id: number } = $props();

  let view = $state.raw<NetAttendance | undefined>(undefined);
  let problem = $state('');

  onMount(async () => {
    try {
      view = await got(api.GET('/api/nets/{id}/attendance', { params: { path: { id } } }));
    } catch (e) {
      problem = e instanceof Problem ? e.message : String(e);
    }
  });
</script>

<section class="view" aria-label="Attendance">
  <div class="view-head">
    <h1>Attendance{view ? ` of ${view.net}` : ''}</h1>
    <a href="#/nets">All nets</a>
  </div>
  {#if problem}
    <p class="trouble" role="alert">{problem}</p>
  {:else if !view}
    <p class="muted">Reading the sessions…</p>
  {:else if view.stations.length === 0}
    <p class="muted">Nobody has checked in yet.</p>
  {:else}
    <table class="list">
      <thead>
        <tr>
          <th>Call</th>
          <th>Name</th>
          <th class="number">Sessions</th>
          {#each view.sessions as session (session.id)}
            <th class="session"
              ><a href={`#/nets/${session.id}`} title={`${utcMinute(session.startedAt)} UTC`}
                >{utcDate(session.startedAt)}</a
              ></th
            >
          {/each}
        </tr>
      </thead>
      <tbody>
        {#each view.stations as station (station.call)}
          <tr>
            <td class="mono"><a href={`#/log?find=call:${station.call.toLowerCase()}`}>{station.call}</a></td>
            <td>{station.name ?? ''}</td>
            <td class="number mono">{station.times}</td>
            {#each station.present as present, i (i)}
              <td class="session"
                >{#if present}<span class="present" aria-hidden="true"></span><span class="visually-hidden"
                    >there</span
                  >{/if}</td
              >
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
</section>

<style>
  td {
    height: 28px;
    white-space: nowrap;
  }

  .number {
    text-align: right;
  }

  .session {
    text-align: center;
  }

  .present {
    display: inline-block;
    width: 12px;
    height: 12px;
    border-radius: 2px;
    background: var(--yb-accent);
  }
</style>
