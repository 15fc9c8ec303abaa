<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { HeldReason, Lane, LogLine, Remedy } from '../../platform/api/client';
  import { form, grouped, utcDate, utcMinute } from '../../platform/shared/format';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { LaneStore } from './lanes.svelte';
  import { ChangeStore } from '../../log/change/changes.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  let { lane, held, onsetup }: { lane: Lane; held: HeldReason[]; onsetup: () => void } = $props();
  const navigation = useStore(Navigation);
  const lanes = useStore(LaneStore);
  const changes = useStore(ChangeStore);

  let open = $state('');
  /** What is typed for the contacts of a reason, by its key. */
  let values = $state<Record<string, string>>({});

  const total = $derived(held.reduce((sum, one) => sum + one.contacts, 0));
  const lines = $derived((lanes.held[lane.id] ?? []) as LogLine[]);
  const of = (key: string) =>
    lines.filter((line) => line.seals.some((seal) => seal.service === lane.id && seal.hold === key));

  function label(remedy: Remedy, one: HeldReason): string {
    const these = form(one.contacts, { one: 'this one', other: texts.theseContacts(grouped(one.contacts)) });
    switch (remedy) {
      case 'CLEAR_WAY':
        return texts.theyWereDirectClearThe(these);
      case 'ALLOW_RELAYED':
        return texts.letSuchContactsGoTo(lane.name);
      case 'FILL_FIELD':
        return texts.setOfField(one.field, these);
      case 'INSTALL_IDENTITY':
        return texts.setUpAnIdentity;
      case 'CHANGE_CHOICES':
        return texts.changeWhatIsSent;
      case 'LET_SOURCE_GO':
        return texts.lookAtTheSources;
      case 'LEAVE_OUT':
        return texts.leaveOutContacts(these);
    }
  }

  async function run(remedy: Remedy, one: HeldReason) {
    switch (remedy) {
      case 'CLEAR_WAY':
        return lanes.editHeld(changes, lane.id, one.key, { PROP_MODE: '' });
      case 'FILL_FIELD':
        return lanes.editHeld(changes, lane.id, one.key, { [one.field]: values[one.key] ?? '' });
      case 'ALLOW_RELAYED':
        return lanes.change(lane.id, { relayed: true });
      case 'LEAVE_OUT':
        return lanes.leaveOut(lane.id, one.key);
      case 'LET_SOURCE_GO':
        return navigation.go('intake', 'sources');
      default:
        return onsetup();
    }
  }
</script>

<section aria-label={texts.heldBack}>
  <h3 class="small-head">
    {texts.heldBack} <span class="mono">{grouped(total)}</span>
    <span class="hint">{texts.aRuleKeepsTheseHere}</span>
  </h3>
  {#each held as one (one.key)}
    <div class="reason">
      <p>
        <span class="mono count">{grouped(one.contacts)}</span>
        {one.reason}
        <button class="more" onclick={() => (open = open === one.key ? '' : one.key)}
          >{open === one.key ? texts.hideThem : texts.showThem}</button
        >
      </p>
      <div class="remedies">
        {#each one.remedies as remedy (remedy)}
          {#if remedy === 'FILL_FIELD'}
            <input
              aria-label={texts.forAllOfThem(one.field)}
              placeholder={one.field}
              bind:value={values[one.key]}
            />
          {/if}
          <Button
            kind="ghost"
            size="small"
            disabled={remedy === 'FILL_FIELD' && !values[one.key]}
            on:click={() => run(remedy, one)}>{label(remedy, one)}</Button
          >
        {/each}
      </div>
      {#if open === one.key}
        <ul>
          {#each of(one.key).slice(0, 12) as line (line.id)}
            <li>
              <span class="mono">{utcDate(line.start)} {utcMinute(line.start)}</span>
              <button class="more mono" onclick={() => navigation.showContact(line.id)}>{line.call}</button>
              <span class="muted">{line.band} {line.mode}</span>
            </li>
          {/each}
        </ul>
      {/if}
    </div>
  {/each}
</section>

<style>
  section {
    margin-top: 16px;
  }

  .reason {
    padding: 4px 0;
    border-top: 1px solid var(--yb-line);
  }

  .count {
    display: inline-block;
    min-width: 48px;
    font-weight: 600;
  }

  .remedies {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px;
    margin-left: 36px;
  }

  input {
    width: 96px;
    height: 28px;
    padding: 0 8px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 2px;
    background: var(--yb-raised);
    color: var(--yb-ink);
    font: inherit;
  }

  .remedies :global(.bx--btn) {
    max-width: none;
  }

  ul {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 24px;
    margin: 4px 0 4px 48px;
    padding: 0;
    list-style: none;
  }
</style>
