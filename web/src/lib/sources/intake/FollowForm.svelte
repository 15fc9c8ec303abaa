<script lang="ts">
  import { Button, RadioButton, RadioButtonGroup, TextInput } from 'carbon-components-svelte';
  import { Problem } from '../../platform/api/client';
  import { clock } from '../../platform/shared/clock.svelte';
  import { ago } from '../../platform/shared/format';
  import SourceChoices, { type Choices } from './SourceChoices.svelte';
  import TryoutPanel from './TryoutPanel.svelte';
  import { TryoutStore } from './tryout.svelte';
  import { IntakeStore } from './intake.svelte';
  import { StationStore } from '../../station/profile/station.svelte';
  import { RadioStore } from '../radio/radios.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  let { onclose }: { onclose: () => void } = $props();
  const intake = useStore(IntakeStore);
  const station = useStore(StationStore);
  const radios = useStore(RadioStore);

  const store = new TryoutStore();
  let path = $state('');
  let begin = $state<'EVERYTHING' | 'FROM_NOW_ON' | 'FROM_DATE'>('EVERYTHING');
  let from = $state('');
  let choices = $state<Choices>({
    ownCalls: '',
    placeId: '0',
    radioId: '0',
    operatorCall: '',
    holdDeliveries: false,
    lookUp: true,
  });
  let problem = $state.raw<Problem | undefined>(undefined);

  const fault = (field: string) => problem?.fields.get(field) ?? store.problem?.fields.get(field) ?? '';

  async function look() {
    problem = undefined;
    await store.path(path);
  }

  /** The counts follow the choices, so that what is shown is what will be. */
  const again = () =>
    store.choose({
      ownCalls: choices.ownCalls,
      operatorCall: choices.operatorCall,
      holdDeliveries: choices.holdDeliveries,
      lookUp: choices.lookUp,
      placeId: Number(choices.placeId),
      from: begin === 'FROM_DATE' ? from || undefined : undefined,
    });

  async function follow() {
    try {
      await intake.follow(path, begin, from, {
        ...choices,
        placeId: Number(choices.placeId),
        radioId: Number(choices.radioId),
      });
      await store.cancel();
      onclose();
    } catch (e) {
      problem = e instanceof Problem ? e : new Problem(String(e));
    }
  }
</script>

<section class="follow" aria-label={texts.followAFile}>
  <h3>{texts.followAFile}</h3>
  <div class="path">
    <TextInput
      size="sm"
      labelText={texts.theAdiFileAProgram}
      placeholder="/home/branca/wavelet/log.adi"
      bind:value={path}
      invalid={fault('path') !== ''}
      invalidText={fault('path')}
    />
    <Button size="small" disabled={path.trim() === '' || store.busy} on:click={look}>{texts.lookAtIt}</Button>
    <Button size="small" kind="ghost" disabled={intake.looking} on:click={() => void intake.look()}>
      {intake.looking ? texts.looking : texts.lookWhereProgramsKeepTheirs}
    </Button>
  </div>
  {#if intake.found}
    {#if intake.found.length === 0}
      <p class="muted">{texts.noAdiLogWasFound}</p>
    {:else}
      <ul aria-label={texts.logsThatWereFound}>
        {#each intake.found as log (log.path)}
          <li>
            <button class="more mono" onclick={() => ((path = log.path), void look())}>{log.path}</button>
            <span class="muted">{texts.writtenWhen(ago(log.changedAt, clock.now))}</span>
          </li>
        {/each}
      </ul>
    {/if}
  {/if}
  {#if store.now}
    <TryoutPanel {store} />
    <div class="how">
      <RadioButtonGroup legendText={texts.theContentOfItAlready} bind:selected={begin} on:change={again}>
        <RadioButton value="EVERYTHING" labelText={texts.takeEverything} />
        <RadioButton value="FROM_NOW_ON" labelText={texts.onlyWhatComesFromNow} />
        <RadioButton value="FROM_DATE" labelText={texts.fromADayOn} />
      </RadioButtonGroup>
      {#if begin === 'FROM_DATE'}
        <TextInput
          size="sm"
          placeholder="2026-05-01"
          labelText={texts.fromThisDayOnUtc}
          bind:value={from}
          on:change={again}
          invalid={fault('from') !== ''}
          invalidText={fault('from')}
        />
      {/if}
    </div>
  {/if}
  <SourceChoices bind:choices places={station.view?.places ?? []} radios={radios.all} {fault} />
  <div class="act">
    <Button size="small" disabled={path.trim() === '' || store.underWay} on:click={follow}
      >{texts.followIt}</Button
    >
    <Button size="small" kind="ghost" on:click={onclose}>{texts.cancel}</Button>
  </div>
  {#if problem && problem.fields.size === 0}<p class="trouble" role="alert">{problem.message}</p>{/if}
  {#if begin === 'FROM_NOW_ON' && store.now}
    <p class="muted">{texts.nothingOfWhatWasCounted}</p>
  {/if}
</section>

<style>
  .follow {
    display: flex;
    flex-direction: column;
    gap: 16px;
    margin-bottom: 20px;
    padding: 16px;
    border: 1px solid var(--yb-accent);
    background: var(--yb-panel);
  }

  h3 {
    font-size: 16px;
    font-weight: 600;
  }

  .path {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto auto;
    gap: 12px;
    align-items: end;
  }

  .how {
    display: flex;
    gap: 32px;
    align-items: end;
  }

  .how :global(.bx--form-item) {
    flex: 0 0 auto;
  }

  .act {
    display: flex;
    gap: 12px;
  }

  li {
    padding: 2px 0;
  }
</style>
