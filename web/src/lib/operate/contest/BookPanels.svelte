<script lang="ts">
  import { ContentSwitcher, Select, SelectItem, Switch } from 'carbon-components-svelte';
  import type { ContestBook, ContestScore } from '../../platform/api/client';
  import BookPanel from './BookPanel.svelte';
  import { PANEL_NAMES, PANELS, type Panel, type PanelLayout } from './layout.svelte';
  import { texts } from './texts';

  let { layout, book, score }: { layout: PanelLayout; book: ContestBook; score: ContestScore } = $props();
</script>

<div class="choice">
  <ContentSwitcher
    size="sm"
    selectedIndex={PANEL_NAMES.indexOf(layout.main)}
    on:change={(event) => layout.show(PANEL_NAMES[event.detail] ?? 'contacts')}
  >
    {#each PANEL_NAMES as name (name)}<Switch text={PANELS[name]} />{/each}
  </ContentSwitcher>
</div>
<div class="panels" class:two={layout.second}>
  <div class="panel"><BookPanel panel={layout.main} {book} {score} /></div>
  {#if layout.second}
    <section class="panel second" aria-label={texts.secondPanel}>
      <Select
        size="sm"
        hideLabel
        labelText={texts.inTheSecondPanel}
        selected={layout.second}
        on:change={(event) => layout.showBeside((event.target as HTMLSelectElement).value as Panel)}
      >
        {#each PANEL_NAMES as name (name)}<SelectItem value={name} text={PANELS[name]} />{/each}
      </Select>
      <BookPanel panel={layout.second} {book} {score} />
    </section>
  {/if}
</div>

<style>
  .choice {
    max-width: 1160px;
  }

  /* Nine of them stand beside each other in a window of 1280. */
  .choice :global(.bx--content-switcher-btn) {
    padding: 0 10px;
  }

  /* The score and the line stay in sight; in a low window everything scrolls. */
  .panels {
    flex: 1;
    min-height: 84px;
    display: grid;
    grid-template: minmax(0, 1fr) / minmax(0, 1fr);
    gap: 12px 24px;
  }

  .panel {
    overflow: auto;
    container-type: inline-size;
  }

  .panels.two {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }

  .second {
    display: flex;
    flex-direction: column;
    gap: 8px;
    padding-left: 24px;
    border-left: 1px solid var(--yb-line);
  }

  .second > :global(.bx--form-item) {
    flex: none;
    width: 200px;
  }

  @media (max-width: 1000px) {
    .panels.two {
      grid-template: minmax(0, 1fr) minmax(0, 1fr) / minmax(0, 1fr);
      min-height: 360px;
    }

    .second {
      padding-left: 0;
      border-left: none;
    }
  }
</style>
