<script lang="ts">
  import { texts } from './texts';

  let { search, onsearch }: { search: string; onsearch: (text: string) => void } = $props();
</script>

<div class="state">
  {#if search}
    <p>{texts.noContactFits} <span class="mono">{search}</span>.</p>
    <p class="muted">
      {texts.wordsAreLookedForIn} <span class="mono">{texts.nameAna}</span>
      {texts.inOneFieldAMinus}
      <button class="more" onclick={() => onsearch('')}>{texts.showTheWholeLog}</button>
    </p>
  {:else}
    <h2>{texts.noContactsYet}</h2>
    <p>
      {texts.letYourDigitalModeProgram} <a href="#/hookups">{texts.seeWhetherThatLinkIs}</a>{texts.or}
      <a href="#/station">{texts.tellYokebarYourCallFirst}</a>.
    </p>
  {/if}
</div>

<style>
  .state {
    padding: 32px 24px;
    max-width: 640px;
  }
</style>
