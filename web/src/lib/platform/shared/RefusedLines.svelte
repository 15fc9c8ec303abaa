<script lang="ts">
  import { texts } from './texts';

  interface Props {
    lines: { refused: { text: string; sentence: string }[]; dismissRefused: () => void };
  }

  let { lines }: Props = $props();
</script>

{#each lines.refused as one (one.text)}
  <p role="alert">
    <span class="mono">{one.text}</span> <span class="trouble">{one.sentence}</span>
    <button class="more" onclick={() => lines.dismissRefused()}>{texts.dismiss}</button>
  </p>
{/each}

<style>
  p {
    min-height: 24px;
    padding-top: 4px;
    font-size: 13px;
  }
</style>
