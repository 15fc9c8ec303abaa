<script lang="ts">
  import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { untrack } from 'svelte';
  import { localTime, utcDate, utcSecond } from '../../platform/shared/format';
  import { HeldRows } from '../../platform/shared/held-rows.svelte';
  import WaitingRows from '../../platform/shared/WaitingRows.svelte';
  import { DECISION_WORDS, JournalStore, type DecisionFilter } from './journal.svelte';
  import JournalRecord from './JournalRecord.svelte';
  import WhyNot from './WhyNot.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { HookupStore } from '../hookup/hookups.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const navigation = useStore(Navigation);
  const hookups = useStore(HookupStore);

  const KEEP_DAYS = [7, 30, 90, 365];

  const journal = new JournalStore();
  void journal.loadKeeping().catch(() => undefined);
  const lastEvents = $derived(hookups.sources.map((h) => h.lastData).join());
  const names = $derived(
    new Map([
      ...hookups.all.filter((h) => h.kind === 'PROGRAM').map((h) => [h.id, h.name] as const),
      ['import', 'Import'],
      ['typed', texts.contactLine],
    ]),
  );
  const keepChoices = $derived(
    [...new Set([...KEEP_DAYS, ...(journal.keepDays ? [journal.keepDays] : [])])].sort((a, b) => a - b),
  );
  const held = new HeldRows(() => journal.lines);
  let openLine = $state<number | undefined>(undefined);

  $effect(() => {
    void lastEvents;
    // While somebody reads a record, or looks further down, nothing moves.
    if (openLine === undefined) {
      untrack(() => journal.lines.length <= 100 && void journal.load());
    }
  });

  function filter(change: { decision?: DecisionFilter; source?: string; call?: string }) {
    journal.decision = change.decision ?? journal.decision;
    journal.source = change.source ?? journal.source;
    journal.call = change.call ?? journal.call;
    openLine = undefined;
    held.release();
    void journal.load();
  }
</script>

<WhyNot onrecord={(call) => filter({ call, decision: '', source: '' })} />

<section class="journal" aria-label={texts.journal}>
  <div class="filters">
    <TextInput
      size="sm"
      labelText={texts.call}
      placeholder={texts.any}
      value={journal.call}
      on:input={(event) => filter({ call: String(event.detail ?? '') })}
    />
    <Select
      size="sm"
      labelText={texts.decision}
      selected={journal.decision}
      on:update={(event) => filter({ decision: event.detail as DecisionFilter })}
    >
      <SelectItem value="" text={texts.any} />
      {#each Object.entries(DECISION_WORDS) as [value, text] (value)}<SelectItem {value} {text} />{/each}
    </Select>
    <Select
      size="sm"
      labelText={texts.source}
      selected={journal.source}
      on:update={(event) => filter({ source: String(event.detail) })}
    >
      <SelectItem value="" text={texts.any} />
      {#each [...names] as [value, text] (value)}<SelectItem {value} {text} />{/each}
    </Select>
    <Select
      size="sm"
      labelText={texts.repeatsAreKept}
      selected={String(journal.keepDays ?? '')}
      on:update={(event) => void journal.keep(event.detail ? Number(event.detail) : undefined)}
    >
      <SelectItem value="" text={texts.forEver} />
      {#each keepChoices as days (days)}<SelectItem value={String(days)} text={texts.days(days)} />{/each}
    </Select>
  </div>
  {#if journal.problem}
    <p class="trouble" role="alert">{journal.problem}</p>
  {:else if !journal.loaded}
    <p class="muted">{texts.readingTheJournal}</p>
  {:else if journal.lines.length === 0}
    <p class="muted">
      {journal.decision || journal.source || journal.call
        ? texts.noRecordIsLikeThat
        : texts.nothingHasComeInYet}
    </p>
  {:else}
    <WaitingRows {held} />
    <div class="wide">
      <table class="list" use:held.watch>
        <thead>
          <tr
            ><th>UTC</th><th>{texts.source}</th><th class="from">{texts.from}</th><th>{texts.decision}</th><th
              >{texts.why}</th
            ><th><span class="visually-hidden">{texts.lookAt}</span></th></tr
          >
        </thead>
        <tbody>
          {#each held.rows as line (line.id)}
            <tr class:open={openLine === line.id}>
              <td class="mono" title={localTime(line.arrivedAt)}
                >{utcDate(line.arrivedAt).slice(5)} {utcSecond(line.arrivedAt)}</td
              >
              <td>{names.get(line.source) ?? line.source}</td>
              <td class="mono from" title={line.sender}>{line.sender}</td>
              <td class="decision" class:trouble={line.decision === 'REFUSED'}
                >{DECISION_WORDS[line.decision]}</td
              >
              <td class="reason">{line.sentence}</td>
              <td class="act">
                <button class="more" onclick={() => (openLine = openLine === line.id ? undefined : line.id)}>
                  {openLine === line.id ? texts.hideRecord : texts.record}
                </button>
                {#if line.contactId !== undefined}
                  <button class="more" onclick={() => navigation.showContact(line.contactId)}
                    >{texts.contact}</button
                  >
                {/if}
              </td>
            </tr>
            {#if openLine === line.id}
              <tr><td colspan="6"><JournalRecord {journal} {line} /></td></tr>
            {/if}
          {/each}
        </tbody>
      </table>
    </div>
    {#if journal.more}
      <Button size="small" kind="ghost" on:click={() => void journal.older()}>{texts.olderOnes}</Button>
    {/if}
  {/if}
</section>

<style>
  .journal {
    margin-top: 20px;
  }

  .filters {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(160px, 1fr));
    max-width: 760px;
    gap: 12px;
    margin-bottom: 12px;
  }

  .wide {
    overflow-x: auto;
  }

  @container (max-width: 800px) {
    .from {
      display: none;
    }
  }

  td {
    padding-block: 4px;
    vertical-align: top;
    white-space: nowrap;
  }

  .from {
    max-width: 160px;
    overflow: hidden;
    text-overflow: ellipsis;
  }

  .reason {
    width: 100%;
    white-space: normal;
  }

  .open td {
    border-bottom-color: transparent;
  }

  .act {
    padding-right: 0;
    text-align: right;
  }

  .act button {
    margin-left: 12px;
  }
</style>
