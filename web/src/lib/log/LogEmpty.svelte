<script lang="ts">
  let { search, onsearch }: { search: string; onsearch: (text: string) => void } = $props();
</script>

<div class="state">
  {#if search}
    <p>No contact fits <span class="mono">{search}</span>.</p>
    <p class="muted">
      Words are looked for in call, name, town, entity, locator and comment; <span class="mono">name:ana</span
      >
      in one field; a minus in front means without.
      <button class="more" onclick={() => onsearch('')}>Show the whole log</button>
    </p>
  {:else}
    <h2>No contacts yet</h2>
    <p>
      Let your digital-mode program send ADIF by UDP to port 7371 of this computer, and each contact appears
      here as it is made. <a href="#/hookups">See whether that link is live</a>, or
      <a href="#/station">tell Yokebar your call first</a>.
    </p>
  {/if}
</div>

<style>
  .state {
    padding: 32px 24px;
    max-width: 640px;
  }
</style>
