<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import type { HeldReason, Lane, LogLine, Remedy } from '../../platform/api/client';
  import { form, grouped, utcDate, utcMinute } from '../../platform/shared/format';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { LaneStore } from './lanes.svelte';
  import { ChangeStore } from '../../log/change/changes.svelte';
  import { useStore } from '../../platform/page/stores';

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
    const these = form(one.contacts, { one: 'this one', other: `these ${grouped(one.contacts)}` });
    switch (remedy) {
      case 'CLEAR_WAY':
        return `They were direct: clear the propagation mode of ${these}`;
      case 'ALLOW_RELAYED':
        return `Let such contacts go to ${lane.name}`;
      case 'FILL_FIELD':
        return `Set ${one.field} of ${these}`;
      case 'INSTALL_IDENTITY':
        return 'Set up an identity';
      case 'CHANGE_CHOICES':
        return 'Change what is sent';
      case 'LET_SOURCE_GO':
        return 'Look at the sources';
      case 'LEAVE_OUT':
        return `Leave ${these} out`;
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

<section aria-label="Held back">
  <h3 class="small-head">
    Held back <span class="mono">{grouped(total)}</span>
    <span class="hint">A rule keeps these here. Change what the rule looks at, or leave them.</span>
  </h3>
  {#each held as one (one.key)}
    <div class="reason">
      <p>
        <span class="mono count">{grouped(one.contacts)}</span>
        {one.reason}
        <button class="more" onclick={() => (open = open === one.key ? '' : one.key)}
          >{open === one.key ? 'Hide them' : 'Show them'}</button
        >
      </p>
      <div class="remedies">
        {#each one.remedies as remedy (remedy)}
          {#if remedy === 'FILL_FIELD'}
            <input
              aria-label={`${one.field} for all of them`}
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
