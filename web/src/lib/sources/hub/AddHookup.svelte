<script lang="ts">
  import { Button } from 'carbon-components-svelte';
  import FeedForm from '../feed/FeedForm.svelte';
  import FollowForm from '../intake/FollowForm.svelte';
  import PortForm from '../intake/PortForm.svelte';
  import RadioForm from '../radio/RadioForm.svelte';
  import RotorForm from '../rotor/RotorForm.svelte';
  import TextProgramForm from '../text/TextProgramForm.svelte';
  import { FeedStore } from '../feed/feeds.svelte';
  import { SearchStore } from '../search/search.svelte';
  import { RotorStore } from '../rotor/rotors.svelte';
  import { TextProgramStore } from '../text/programs.svelte';
  import { StationStore } from '../../station/profile/station.svelte';
  import { RadioStore } from '../radio/radios.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  /** Anything that feeds the log or takes from it begins here. */
  const feeds = useStore(FeedStore);
  const search = useStore(SearchStore);
  const rotors = useStore(RotorStore);
  const decoders = useStore(TextProgramStore);
  const station = useStore(StationStore);
  const radios = useStore(RadioStore);

  let adding = $state<'radio' | 'rotator' | 'feed' | 'file' | 'port' | 'program' | 'decoder' | undefined>(
    undefined,
  );

  const FORMS = [
    ['radio', 'Radio'],
    ['rotator', 'Rotator'],
    ['feed', texts.clusterOrSkimmer],
    ['program', texts.digitalProgram],
    ['decoder', texts.textDecoder],
    ['file', 'File'],
    ['port', 'Port'],
  ] as const;

  const close = () => (adding = undefined);
</script>

<div class="add" role="group" aria-label={texts.add}>
  {#each FORMS as [what, label] (what)}
    <Button
      kind={adding === what ? 'primary' : 'tertiary'}
      size="small"
      aria-pressed={adding === what}
      on:click={() => (adding = adding === what ? undefined : what)}
      ><span aria-hidden="true">+&nbsp;</span>{label}</Button
    >
  {/each}
  <Button kind="tertiary" size="small" href="#/services"
    ><span aria-hidden="true">+&nbsp;</span>{texts.service}</Button
  >
  <Button kind="tertiary" size="small" href="#/station/callbook"
    ><span aria-hidden="true">+&nbsp;</span>{texts.callbook}</Button
  >
</div>

{#if adding}
  <div class="form">
    {#if adding === 'radio'}
      <RadioForm {radios} rotors={rotors.all} {search} onclose={close} />
    {:else if adding === 'rotator'}
      <RotorForm {rotors} {search} onclose={close} />
    {:else if adding === 'feed'}
      <FeedForm {feeds} ownCall={station.view?.ownCall} onclose={close} />
    {:else if adding === 'decoder'}
      <TextProgramForm programs={decoders} onclose={close} />
    {:else if adding === 'file'}
      <FollowForm onclose={close} />
    {:else if adding === 'port'}
      <PortForm onclose={close} />
    {:else}
      <p>
        {texts.programsConnectByThemselvesSet}
        <a href="#/intake/sources">{texts.intakeSources}</a>.
      </p>
    {/if}
  </div>
{/if}

<style>
  .add {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-bottom: 16px;
  }

  .form {
    max-width: 720px;
    margin-bottom: 16px;
  }
</style>
