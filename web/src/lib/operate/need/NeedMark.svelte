<script lang="ts">
  import type { NeedMarkView } from '../../platform/api/client';
  import { NEED_WORDS } from './need';
  import WorkGlyph from './WorkGlyph.svelte';
  import { texts } from './texts';

  let { mark, size = 14 }: { mark: NeedMarkView; size?: number } = $props();

  const words = $derived(
    texts.everThisBandThisMode(NEED_WORDS[mark.ever], NEED_WORDS[mark.band], NEED_WORDS[mark.mode]),
  );
</script>

<span class="mark" role="img" aria-label={words} title={words}>
  <WorkGlyph state={mark.ever} {size} /><WorkGlyph state={mark.band} {size} /><WorkGlyph
    state={mark.mode}
    {size}
  />
</span>

<style>
  .mark {
    display: inline-flex;
    gap: 1px;
    vertical-align: middle;
  }
</style>
