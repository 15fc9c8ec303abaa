<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import { Problem, type Guess, type Lane, type Unmatched } from '../../platform/api/client';
  import { utcDate, utcMinute } from '../../platform/shared/format';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { LaneStore } from '../delivery/lanes.svelte';
  import { ChangeStore } from '../../log/change/changes.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

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
    CALL: texts.oneCharacterOfTheCall,
    PORTABLE: texts.whatFollowsTheStroke,
    OWN_CALL: texts.yourCall,
    BAND: texts.theBand,
    MODE: texts.theMode,
    MODE_GROUP: texts.theMode,
    HOURS: texts.wholeHours,
    DAY: texts.aDay,
    TIME: texts.theTime,
    MONTH: texts.theMonth,
    YEAR: texts.theYear,
    DIGITS: texts.twoDigitsThatChangePlaces,
    RELAYED: texts.nothingButItWasMade,
  };

  const differs = (guess: Guess, ...which: Guess['differences']) =>
    which.some((w) => guess.differences.includes(w));

  /** What the correction would write into our contact. */
  function preview(one: Unmatched, { contact, correction }: Guess): [string, string, string][] {
    const moment = (start: string) => `${utcDate(start)} ${utcMinute(start)}`;
    const all: [boolean, string, string, string][] = [
      ['TIME_ON' in correction, 'UTC', moment(contact.start), moment(one.start)],
      ['CALL' in correction, 'call', contact.call, one.call],
      ['BAND' in correction, 'band', contact.band, texts.withoutAFrequency(one.band)],
      ['MODE' in correction, 'mode', contact.mode, one.mode],
      ['STATION_CALLSIGN' in correction, texts.yourCall, contact.ownCall, one.ownCall],
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

<section aria-label={texts.nearMisses}>
  <h3 class="small-head">
    {texts.unmatchedConfirmations} <span class="hint">{texts.theyLoggedUsButNot}</span>
  </h3>
  {#if problem}<p class="trouble" role="alert">{problem}</p>{/if}
  <table class="list">
    <thead>
      <tr
        ><th><span class="visually-hidden">{texts.whose}</span></th><th>{texts.date}</th><th>UTC</th><th
          >{texts.call}</th
        ><th>{texts.band}</th><th>{texts.mode}</th><th>{texts.as}</th><th class="why">{texts.differsIn}</th
        ><th><span class="visually-hidden">{texts.do}</span></th></tr
      >
    </thead>
    {#each unmatched as one (one.id)}
      <tbody>
        <tr class="theirs">
          <td class="muted">{texts.theyLogged}</td>
          <td class="mono">{utcDate(one.start)}</td>
          <td class="mono">{utcMinute(one.start)}</td>
          <td class="mono">{one.call}</td>
          <td>{one.band}</td>
          <td>{one.mode}</td>
          <td class="mono">{one.ownCall}</td>
          <td class="why muted">{one.guesses.length === 0 ? texts.hasItWeHaveNothing(lane.name) : ''}</td>
          <td class="act">
            <Button kind="ghost" size="small" on:click={() => aside(one)}>{texts.putAside}</Button>
          </td>
        </tr>
        {#each one.guesses as guess (guess.contact.id)}
          <tr class="ours">
            <td class="muted">{texts.weLogged}</td>
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
                  >{texts.yourContactIsConfirmedAs}</span
                >{/if}{#if asked === key(one, guess)}
                <ul class="preview" aria-label={texts.whatWouldChange} role="alert">
                  {#each preview(one, guess) as [what, from, to] (what)}
                    <li>{what} <span class="mono">{from}</span> → <strong class="mono">{to}</strong></li>
                  {/each}
                  {#if differs(guess, 'OWN_CALL')}
                    <li>
                      <strong>{texts.theContactWouldSayThat(one.ownCall)}</strong>
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
                  ? texts.correctOurs
                  : differs(guess, 'OWN_CALL')
                    ? texts.yesIWas(one.ownCall)
                    : texts.changeItSo}</Button
              >
              {#if asked === key(one, guess)}
                <Button kind="ghost" size="small" on:click={() => (asked = '')}>{texts.cancel}</Button>
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
