<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { Problem, type Guess, type Lane, type Unmatched } from '../../platform/api/client';
  import { utcDate, utcMinute } from '../../platform/shared/format';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { LaneStore } from '../delivery/lanes.svelte';
  import { ChangeStore } from '../../log/change/changes.svelte';
  import { useStore } from '../../platform/page/stores';

  let { lane, unmatched, onchanged }: { lane: Lane; unmatched: Unmatched[]; onchanged: () => Promise<void> } =
    $props();
  const navigation = useStore(Navigation);
  const lanes = useStore(LaneStore);
  const changes = useStore(ChangeStore);

  let problem = $state('');
  /** The correction that is to be made; what would change is shown first. */
  let asked = $state('');
  const key = (one: Unmatched, guess: Guess) => `${one.id} ${guess.contact.id}`;

  const WORDS: Record<Guess['differences'][number], string> = {
    CALL: 'one character of the call',
    PORTABLE: 'what follows the stroke',
    OWN_CALL: 'your call',
    BAND: 'the band',
    MODE: 'the mode',
    MODE_GROUP: 'the mode',
    HOURS: 'whole hours',
    DAY: 'a day',
    TIME: 'the time',
    MONTH: 'the month',
    YEAR: 'the year',
    DIGITS: 'two digits that change places',
    RELAYED: 'nothing, but it was made over a repeater or an internet link and does not count there',
  };

  const differs = (guess: Guess, ...which: Guess['differences']) =>
    which.some((w) => guess.differences.includes(w));

  /** What the correction would write into our contact. */
  function preview(one: Unmatched, { contact, correction }: Guess): [string, string, string][] {
    const moment = (start: string) => `${utcDate(start)} ${utcMinute(start)}`;
    const all: [boolean, string, string, string][] = [
      ['TIME_ON' in correction, 'UTC', moment(contact.start), moment(one.start)],
      ['CALL' in correction, 'call', contact.call, one.call],
      ['BAND' in correction, 'band', contact.band, `${one.band}, without a frequency`],
      ['MODE' in correction, 'mode', contact.mode, one.mode],
      ['STATION_CALLSIGN' in correction, 'your call', contact.ownCall, one.ownCall],
      ['PROP_MODE' in correction, 'way', contact.propagation ?? '', 'direct'],
    ];
    return all.filter(([changes]) => changes).map(([, what, from, to]) => [what, from, to]);
  }

  async function correct(one: Unmatched, guess: Guess) {
    problem = '';
    if (asked !== key(one, guess)) {
      asked = key(one, guess);
      return;
    }
    asked = '';
    try {
      await lanes.correct(changes, guess);
      await onchanged();
    } catch (e) {
      problem = e instanceof Problem ? e.message : String(e);
    }
  }

  async function aside(one: Unmatched) {
    await lanes.setAside(one.id);
    await onchanged();
  }
</script>

<section aria-label="Near misses">
  <h3 class="small-head">
    Unmatched confirmations <span class="hint"
      >They logged us, but not as we logged them. Who was wrong? Correct ours, or put it aside.</span
    >
  </h3>
  {#if problem}<p class="trouble" role="alert">{problem}</p>{/if}
  <table class="list">
    <thead>
      <tr
        ><th><span class="visually-hidden">Whose</span></th><th>Date</th><th>UTC</th><th>Call</th><th>Band</th
        ><th>Mode</th><th>As</th><th class="why">Differs in</th><th
          ><span class="visually-hidden">Do</span></th
        ></tr
      >
    </thead>
    {#each unmatched as one (one.id)}
      <tbody>
        <tr class="theirs">
          <td class="muted">they logged</td>
          <td class="mono">{utcDate(one.start)}</td>
          <td class="mono">{utcMinute(one.start)}</td>
          <td class="mono">{one.call}</td>
          <td>{one.band}</td>
          <td>{one.mode}</td>
          <td class="mono">{one.ownCall}</td>
          <td class="why muted"
            >{one.guesses.length === 0 ? `${lane.name} has it, we have nothing like it` : ''}</td
          >
          <td class="act">
            <Button kind="ghost" size="small" on:click={() => aside(one)}>Put aside</Button>
          </td>
        </tr>
        {#each one.guesses as guess (guess.contact.id)}
          <tr class="ours">
            <td class="muted">we logged</td>
            <td class="mono" class:other={differs(guess, 'DAY', 'MONTH', 'YEAR', 'DIGITS')}
              >{utcDate(guess.contact.start)}</td
            >
            <td class="mono" class:other={differs(guess, 'HOURS', 'TIME', 'DIGITS')}
              >{utcMinute(guess.contact.start)}</td
            >
            <td class="mono" class:other={differs(guess, 'CALL', 'PORTABLE')}>
              <button class="more mono" onclick={() => navigation.showContact(guess.contact.id)}
                >{guess.contact.call}</button
              >
            </td>
            <td class:other={differs(guess, 'BAND')}>{guess.contact.band}</td>
            <td class:other={differs(guess, 'MODE', 'MODE_GROUP')}>{guess.contact.mode}</td>
            <td class="mono" class:other={differs(guess, 'OWN_CALL')}>{guess.contact.ownCall}</td>
            <td class="why"
              >{guess.differences.map((d) => WORDS[d]).join(' and ')}{#if guess.confirmed}<span class="muted"
                  >; your contact is confirmed as it is</span
                >{/if}{#if asked === key(one, guess)}
                <ul class="preview" aria-label="What would change" role="alert">
                  {#each preview(one, guess) as [what, from, to] (what)}
                    <li>{what} <span class="mono">{from}</span> → <strong class="mono">{to}</strong></li>
                  {/each}
                  {#if differs(guess, 'OWN_CALL')}
                    <li>
                      <strong
                        >The contact would say that you were {one.ownCall}, and would be sent again as that.
                        Were you?</strong
                      >
                    </li>
                  {/if}
                </ul>
              {/if}</td
            >
            <td class="act">
              <Button
                kind={guess.confirmed ? 'ghost' : 'tertiary'}
                size="small"
                on:click={() => correct(one, guess)}
                >{asked !== key(one, guess)
                  ? 'Correct ours'
                  : differs(guess, 'OWN_CALL')
                    ? `Yes, I was ${one.ownCall}`
                    : 'Change it so'}</Button
              >
              {#if asked === key(one, guess)}
                <Button kind="ghost" size="small" on:click={() => (asked = '')}>Cancel</Button>
              {/if}
            </td>
          </tr>
        {/each}
      </tbody>
    {/each}
  </table>
</section>

<style>
  .preview {
    margin: 4px 0;
    padding: 0;
    list-style: none;
  }

  section {
    margin-top: 12px;
  }

  td {
    height: 34px;
    white-space: nowrap;
  }

  .theirs td {
    border-top: 1px solid var(--yb-line-strong);
  }

  .other {
    font-weight: 600;
    text-decoration: underline wavy var(--yb-trouble);
    text-underline-offset: 4px;
  }

  .why {
    width: 100%;
  }

  .act {
    padding-right: 0;
    text-align: right;
  }
</style>
