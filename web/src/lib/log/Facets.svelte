<script lang="ts">
  import { untrack } from 'svelte';
  import { api, got, type LogFacets } from '../platform/api/client';
  import { STATE_NAMES, type LaneState } from '../services/delivery/lanes.svelte';
  import { grouped } from '../platform/shared/format';
  import { chosen, toggled } from './search-text';
  import { LaneStore } from '../services/delivery/lanes.svelte';
  import { LogStore } from './log.svelte';
  import { useStore } from '../platform/page/stores';
  import { texts } from './texts';

  let {
    typed,
    onsearch,
  }: {
    /** The content of the search box, though it may not be searched for yet. */
    typed: string;
    onsearch: (text: string) => void;
  } = $props();
  const lanes = useStore(LaneStore);
  const log = useStore(LogStore);

  const SHOWN = 6;
  const NAMES: Record<string, string> = {
    BAND: texts.band,
    MODE: texts.mode,
    GROUP: texts.kind,
    YEAR: texts.year,
    COUNTRY: texts.entity,
    CONT: texts.continent,
    OPERATOR: texts.operator,
    STATION_CALLSIGN: texts.ownCall,
    PROP_MODE: texts.via,
  };
  const GROUPS: Record<string, string> = { PHONE: texts.phone, CW: 'CW', DIGITAL: texts.digital };

  let counts = $state.raw<LogFacets | undefined>(undefined);
  let opened = $state.raw<Set<string>>(new Set());
  let request = 0;

  /** Rows come first; whoever types on does not wait for counts nobody will look at. */
  const SETTLED_MS = 200;

  $effect(() => {
    void log.edition;
    if (!log.loading) {
      const timer = setTimeout(() => void untrack(read), SETTLED_MS);
      return () => clearTimeout(timer);
    }
  });

  async function read() {
    const mine = ++request;
    try {
      const fresh = await got(api.GET('/api/log/facets', { params: { query: { search: log.search } } }));
      if (mine === request) {
        counts = fresh;
      }
    } catch {
      // The rows beside say what is wrong.
    }
  }

  const service = (field: string) => lanes.all.find((lane) => lane.name.toUpperCase() === field);

  function words(field: string, value: string): string {
    if (service(field)) {
      return STATE_NAMES[value as LaneState] ?? value;
    }
    return field === 'GROUP' ? (GROUPS[value] ?? value) : value;
  }

  function choose(name: string, field: string, value: string) {
    onsearch(toggled(typed, field === 'YEAR' ? 'date' : name, value));
  }

  function isChosen(name: string, field: string, value: string): boolean {
    return chosen(typed, field === 'YEAR' ? 'date' : name).includes(value.toLowerCase());
  }

  function open(field: string) {
    const fields = new Set(opened);
    if (!fields.delete(field)) {
      fields.add(field);
    }
    opened = fields;
  }
</script>

<div class="facets" role="region" aria-label={texts.counts}>
  {#each counts?.facets ?? [] as facet (facet.field)}
    {#if facet.values.length > 1 || chosen(typed, facet.name).length > 0}
      <section>
        <h2>{NAMES[facet.field] ?? service(facet.field)?.name ?? facet.name}</h2>
        <ul>
          {#each facet.values.slice(0, opened.has(facet.field) ? undefined : SHOWN) as { value, contacts } (value)}
            <li>
              <button
                aria-pressed={isChosen(facet.name, facet.field, value)}
                onclick={() => choose(facet.name, facet.field, value)}
              >
                <span class="value">{words(facet.field, value)}</span>
                <span class="mono">{grouped(contacts)}</span>
              </button>
            </li>
          {/each}
        </ul>
        {#if facet.values.length > SHOWN}
          <button class="more" onclick={() => open(facet.field)}>
            {opened.has(facet.field) ? texts.fewer : texts.more(facet.values.length - SHOWN + facet.more)}
          </button>
        {/if}
      </section>
    {/if}
  {/each}
</div>

<style>
  .facets {
    flex: none;
    width: 184px;
    padding: 0 8px 16px 24px;
    overflow-y: auto;
    scrollbar-color: var(--yb-line) transparent;
    scrollbar-width: thin;
    border-right: 1px solid var(--yb-line);
  }

  section {
    margin-bottom: 12px;
  }

  h2 {
    font-size: 12px;
    font-weight: 400;
    color: var(--yb-ink-2);
  }

  ul {
    margin: 0;
    padding: 0;
    list-style: none;
  }

  li button {
    display: flex;
    justify-content: space-between;
    gap: 8px;
    width: 100%;
    height: 24px;
    padding: 0 8px;
    border: 0;
    border-radius: 2px;
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

  li button[aria-pressed='true'] {
    background: var(--yb-selected);
    box-shadow: inset 3px 0 0 var(--yb-accent);
    font-weight: 600;
  }

  .value {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .mono {
    color: var(--yb-ink-2);
    font-size: 12px;
  }

  .more {
    margin-left: 8px;
    font-size: 12px;
  }
</style>
