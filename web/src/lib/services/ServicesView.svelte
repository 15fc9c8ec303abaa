<script lang="ts">
  import type { AppState } from '../frame/app.svelte';
  import LanePanel from './LanePanel.svelte';

  let { app }: { app: AppState } = $props();
</script>

<section class="view" aria-label="Services">
  <div class="view-head">
    <h1>Services</h1>
    <span class="muted">Handed over is not accepted: only a service's own report moves a contact on.</span>
  </div>
  {#if app.lanes.problem}
    <p class="trouble" role="alert">{app.lanes.problem}</p>
  {/if}
  {#each app.lanes.all as lane (lane.id)}
    <LanePanel {lane} {app} />
  {:else}
    {#if !app.lanes.problem}<p class="muted">Reading the services…</p>{/if}
  {/each}
</section>
