<script lang="ts">
  import { Button, TextInput } from 'carbon-components-svelte';
  import { Checkmark } from 'carbon-icons-svelte';
  import { untrack } from 'svelte';
  import { megaHertz } from '../../platform/shared/format';
  import DeviceStep from './DeviceStep.svelte';
  import { FirstStepsWay, STEPS, type Step } from './steps.svelte';
  import { FirstStepsOffer } from './first-steps-offer';
  import { RotorStore } from '../../sources/rotor/rotors.svelte';
  import { StationStore } from '../profile/station.svelte';
  import { RadioStore } from '../../sources/radio/radios.svelte';
  import { SearchStore } from '../../sources/search/search.svelte';
  import { PositionStore } from '../position/positions.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const firstSteps = useStore(FirstStepsOffer);
  const rotors = useStore(RotorStore);
  const station = useStore(StationStore);
  const radios = useStore(RadioStore);
  const positions = useStore(PositionStore);
  const search = useStore(SearchStore);

  const way = untrack(() => new FirstStepsWay({ station, positions, radios, rotors, search }));
  const WORDS: Record<Step, string> = {
    call: texts.yourCall,
    place: texts.yourPlace,
    radio: texts.aRadio,
    rotator: texts.aRotator,
    done: texts.ready,
  };

  let call = $state('');
  let name = $state('');
  let place = $state('Home');
  let locator = $state('');

  const radio = $derived(radios.chosen);
  const rotor = $derived(rotors.chosen);

  /** The first field of a step has the keyboard at once. */
  function first(node: HTMLElement) {
    node.querySelector<HTMLElement>('input, button')?.focus();
  }
</script>

<section class="view steps" aria-label={texts.firstSteps}>
  <div class="view-head">
    <h1>{texts.firstSteps}</h1>
    <span class="muted">{texts.aMinuteOrTwoEverything}</span>
  </div>
  <ol>
    {#each STEPS as step, i (step)}
      <li class:past={i + 1 < way.number} aria-current={way.step === step ? 'step' : undefined}>
        {#if i + 1 < way.number}<Checkmark size={16} />{:else}<span class="mono">{i + 1}</span>{/if}
        {WORDS[step]}
      </li>
    {/each}
  </ol>
  {#key way.step}
    <div class="step" use:first>
      {#if way.step === 'call'}
        <form
          onsubmit={(event) => {
            event.preventDefault();
            void way.nameCall(call, name);
          }}
        >
          <h2>{texts.whichCallDoYouUse}</h2>
          <p class="muted">{texts.contactsWhoseRecordNamesNo}</p>
          <div class="pair">
            <TextInput size="sm" labelText={texts.yourCall} bind:value={call} />
            <TextInput size="sm" labelText={texts.yourName} bind:value={name} />
          </div>
          <div class="act">
            <Button size="small" type="submit" disabled={way.busy || !call.trim()}>{texts.goOn}</Button>
            <Button size="small" kind="ghost" on:click={() => way.next()}>{texts.notNow}</Button>
          </div>
        </form>
      {:else if way.step === 'place'}
        <form
          onsubmit={(event) => {
            event.preventDefault();
            void way.addPlace(place, locator);
          }}
        >
          <h2>{texts.whereAreYou}</h2>
          <p class="muted">{texts.theLocatorGivesDistancesAnd}</p>
          <div class="pair">
            <TextInput size="sm" labelText={texts.locator} placeholder={texts.hm49kq} bind:value={locator} />
            <TextInput size="sm" labelText={texts.thePlaceIsCalled} bind:value={place} />
          </div>
          <div class="act">
            <Button size="small" type="submit" disabled={way.busy || !place.trim() || !locator.trim()}
              >{texts.goOn}</Button
            >
            <Button size="small" kind="ghost" on:click={() => way.next()}>{texts.notNow}</Button>
          </div>
        </form>
      {:else if way.step === 'radio'}
        <DeviceStep
          want="RADIO"
          title={texts.isARadioConnected}
          words={texts.everySerialPortIsTried}
          suggestion={texts.radio}
          busy={way.busy}
          onadd={(finding, name) => way.addRadio(finding, name)}
          onskip={() => way.next()}
        />
      {:else if way.step === 'rotator'}
        <DeviceStep
          want="ROTATOR"
          title={texts.andARotator}
          words={texts.itWasLookedForAt}
          suggestion={texts.rotator}
          busy={way.busy}
          onadd={(finding, name) => way.addRotor(finding, name)}
          onskip={() => way.next()}
        />
      {:else}
        <h2>{texts.thatIsAllItTakes}</h2>
        <ul class="sum">
          <li>
            {station.view?.ownCall ? texts.contactsAreLoggedAs(station.view.ownCall) : texts.noCallYet}
          </li>
          <li data-testid="radio-sum">
            {#if radio?.now}{texts.isLiveOnMhz(radio.name, megaHertz(radio.now.frequencyHz))}
            {:else if radio}{texts.isBeingConnected(radio.name)}
            {:else}{texts.noRadioAddOneUnder}{/if}
          </li>
          <li data-testid="rotor-sum">
            {#if rotor?.headingDegrees !== undefined}{texts.isLiveAndPointsTo(
                rotor.name,
                Math.round(rotor.headingDegrees),
              )}
            {:else if rotor}{texts.isBeingConnected(rotor.name)}
            {:else}{texts.noRotator}{/if}
          </li>
        </ul>
        <div class="act">
          <Button size="small" on:click={() => firstSteps.done()}>{texts.toTheDesk}</Button>
        </div>
      {/if}
      {#if way.problem}<p class="trouble" role="alert">{way.problem}</p>{/if}
    </div>
  {/key}
  {#if way.step !== 'done'}
    <p class="leave">
      <button class="more" onclick={() => firstSteps.done()}>{texts.iWillSetItUp}</button>
    </p>
  {/if}
</section>

<style>
  .steps {
    max-width: 880px;
  }

  ol {
    display: flex;
    flex-wrap: wrap;
    gap: 4px;
    margin: 8px 0 24px;
  }

  ol li {
    display: flex;
    flex: 1;
    gap: 8px;
    align-items: center;
    padding: 8px 0;
    border-top: 3px solid var(--yb-line);
    color: var(--yb-ink-2);
  }

  ol li.past {
    border-top-color: var(--yb-line-strong);
  }

  ol li[aria-current] {
    border-top-color: var(--yb-accent);
    color: var(--yb-ink);
    font-weight: 600;
  }

  .step {
    min-height: 280px;
  }

  h2 {
    font-size: 20px;
    line-height: 32px;
  }

  .pair {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(200px, 100%), 280px));
    gap: 16px;
    margin: 16px 0;
  }

  .act {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin: 16px 0;
  }

  .sum {
    margin-top: 12px;
  }

  .sum li {
    padding: 6px 0;
    border-bottom: 1px solid var(--yb-line);
  }
</style>
