<script lang="ts">
  import { CloudUpload, Compass, Radio, Terminal } from 'carbon-icons-svelte';
  import type { Hookup } from '../../platform/api/client';
  import { STATE_WORDS } from '../hookup/hookups.svelte';
  import Notch from '../../platform/shared/Notch.svelte';

  let { hookup, onopen }: { hookup: Hookup; onopen: () => void } = $props();
</script>

<button
  class="plate plate-box"
  class:in-trouble={hookup.state === 'TROUBLE'}
  title={hookup.reason ?? `${hookup.name}: ${STATE_WORDS[hookup.state]}`}
  aria-label={`${hookup.name}: ${STATE_WORDS[hookup.state]}. ${hookup.reason ?? ''}`}
  onclick={onopen}
>
  <span class="face">
    <span class="name">{hookup.name}</span>
  </span>
  <span class="foot">
    <Notch state={hookup.state} />
    {#if hookup.state === 'TROUBLE'}<span class="reason">{hookup.brief ?? hookup.reason}</span>
    {:else if hookup.kind === 'SERVICE' || hookup.kind === 'CONTEST'}<CloudUpload size={16} />
    {:else if hookup.id.startsWith('radio-')}<Radio size={16} />
    {:else if hookup.id.startsWith('rotor-')}<Compass size={16} />
    {:else}<Terminal size={16} />{/if}
  </span>
</button>

<style>
  .plate {
    align-items: flex-start;
    gap: 2px;
    flex: 0 1000 auto;
    min-width: 54px;
    font: inherit;
    cursor: pointer;
  }

  .plate:hover {
    background: var(--yb-selected);
  }

  /* Trouble is read in full while the others can give it room; the log and the clock are never covered. */
  .in-trouble {
    flex-shrink: 1;
    min-width: 120px;
    border-color: var(--yb-trouble);
  }

  .face {
    max-width: 100%;
    display: flex;
    align-items: center;
    gap: 4px;
    font-size: 12px;
    line-height: 18px;
    white-space: nowrap;
  }

  /* Below the name, so that the name has the whole width. */
  .foot {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 8px;
    width: 100%;
    height: 14px;
    color: var(--yb-ink-2);
  }

  .foot :global(svg) {
    flex: none;
    width: 14px;
    height: 14px;
  }

  .name {
    flex: none;
    max-width: 100%;
    overflow: hidden;
    text-overflow: ellipsis;
  }

  .reason {
    flex: 1;
    min-width: 0;
    max-width: 220px;
    color: var(--yb-trouble);
    font-size: 12px;
    line-height: 14px;
    text-align: left;
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
</style>
