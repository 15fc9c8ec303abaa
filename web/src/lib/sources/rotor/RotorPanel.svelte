<script lang="ts">
  import { opposite } from './compass';
  import Compass from './Compass.svelte';
  import { RotorStore } from './rotors.svelte';
  import { Navigation } from '../../platform/page/navigation.svelte';
  import { HookupStore } from '../hookup/hookups.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const rotors = useStore(RotorStore);
  const navigation = useStore(Navigation);
  const hookups = useStore(HookupStore);

  const rotor = $derived(rotors.chosen);
  const hookup = $derived(hookups.all.find((h) => h.id === rotor?.hookup));
  const heading = $derived(rotor?.headingDegrees);
  const target = $derived(rotor?.targetDegrees);
  const aim = $derived(target ?? heading ?? 0);
  let typed = $state('');
  let typedElevation = $state('');

  function go() {
    const degrees = Number(typed);
    if (typed !== '' && degrees >= 0 && degrees <= 360) {
      void rotors.point(degrees);
      typed = '';
    }
  }

  function raise() {
    if (typedElevation !== '') {
      void rotors.raise(Number(typedElevation));
      typedElevation = '';
    }
  }
</script>

<section class="rotor" aria-label={texts.rotator}>
  <header>
    {#if rotors.all.length > 1}
      <select
        aria-label={texts.rotator}
        value={rotor?.id}
        onchange={(event) => rotors.choose(Number(event.currentTarget.value))}
      >
        {#each rotors.all as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
      </select>
    {:else}
      <h2>{rotor?.name ?? texts.rotator}</h2>
    {/if}
    {#if heading !== undefined}
      <span class="mono now" data-testid="heading">{Math.round(heading) % 360}°</span>
      {#if rotor?.elevationDegrees !== undefined}<span class="mono" data-testid="elevation"
          >{texts.upElevationDegrees(Math.round(rotor.elevationDegrees))}</span
        >{/if}
      {#if target !== undefined}<span class="muted" role="status"
          >{texts.turningToTarget(
            Math.round(target) % 360,
            rotor?.arrivesInSeconds ? texts.thereInS(rotor.arrivesInSeconds) : '',
          )}</span
        >{/if}
    {/if}
  </header>
  {#if !rotor}
    <p class="muted">{texts.noRotatorYet} <a href="#/first-steps">{texts.connectOne}</a>.</p>
  {:else if heading === undefined}
    <p class="fault">
      {#if hookup?.state === 'TROUBLE'}<strong>{hookup.reason}</strong>
        {hookup.fix}{:else if hookup?.state === 'OFF'}{texts.isSwitchedOffHere(
          rotor.name,
        )}{:else}{texts.connectingToName(rotor.name)}{/if}
      <button class="more" onclick={() => navigation.showHookup(rotor.hookup)}>{texts.more}</button>
    </p>
  {:else}
    <div class="body">
      <Compass {rotor} {heading} {target} />
      <div class="side">
        <div class="typed">
          <label>
            <span class="muted">{texts.turnTo}</span>
            <input
              class="mono"
              inputmode="numeric"
              bind:value={typed}
              onkeydown={(e) => e.key === 'Enter' && go()}
            />
          </label>
          {#if rotor.elevationDegrees !== undefined}
            <label>
              <span class="muted">{texts.raiseTo}</span>
              <input
                class="mono"
                inputmode="numeric"
                bind:value={typedElevation}
                onkeydown={(e) => e.key === 'Enter' && raise()}
              />
            </label>
          {/if}
        </div>
        <div class="keys">
          <button onclick={() => rotors.point(opposite(Math.round(aim)))}>{texts.longPath}</button>
          <button onclick={() => rotors.stop()}>{texts.stop}</button>
        </div>
        {#if rotor.presets.length > 0}
          <div class="keys" role="group" aria-label={texts.headings}>
            {#each rotor.presets as preset (preset.name)}
              <button title={`${preset.headingDegrees}°`} onclick={() => rotors.point(preset.headingDegrees)}
                >{preset.name}</button
              >
            {/each}
          </div>
        {/if}
      </div>
    </div>
    {#if hookup?.state === 'TROUBLE'}
      <p class="fault"><strong>{hookup.reason}</strong> {hookup.fix}</p>
    {/if}
  {/if}
  {#if rotors.problem}<p class="trouble" role="alert">{rotors.problem}</p>{/if}
</section>

<style>
  header {
    display: flex;
    align-items: baseline;
    gap: 12px;
  }

  .now {
    font-size: 24px;
    font-weight: 600;
  }

  .body {
    display: flex;
    flex-wrap: wrap;
    gap: 16px;
    align-items: center;
  }

  .side {
    display: flex;
    flex: 1 1 160px;
    flex-direction: column;
    gap: 8px;
    align-items: flex-start;
  }

  .typed {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }

  label {
    display: flex;
    flex-direction: column;
    font-size: 12px;
  }

  input {
    width: 72px;
    height: 32px;
    border: 0;
    border-bottom: 1px solid var(--yb-line-strong);
    background: var(--yb-raised);
    color: var(--yb-ink);
    padding: 0 8px;
  }
</style>
