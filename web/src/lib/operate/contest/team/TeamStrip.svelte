<script lang="ts">
  import { tick } from 'svelte';
  import type { PassOption, TeamMember } from '../../../platform/api/client';
  import { useStore } from '../../../platform/page/stores';
  import { clock } from '../../../platform/shared/clock.svelte';
  import { kiloHertz, utcMinute } from '../../../platform/shared/format';
  import { RadioStore } from '../../../sources/radio/radios.svelte';
  import { shortWorth } from '../worth/worth';
  import { TeamStore } from './team.svelte';
  import { texts } from './texts';

  /** @property onback the person goes on at the contest line */
  let { onback }: { onback: () => void } = $props();

  const team = useStore(TeamStore);
  const radios = useStore(RadioStore);
  let writing = $state(false);
  let message = $state('');
  let field = $state<HTMLInputElement | null>(null);
  let first = $state<HTMLButtonElement | null>(null);

  const news = $derived(team.news(clock.now));
  const coming = $derived(team.coming(clock.now));
  const { others } = $derived(team);

  // Whatever is said of this position and is different now is told to the others.
  $effect(() => team.tell());

  /** A turning knob is followed at once; for the others, what is known. */
  const hz = ({ radioId, frequencyHz }: TeamMember) =>
    radios.all.find((radio) => radio.id === radioId)?.now?.transmitHz ?? frequencyHz;

  const optionWords = ({ name, frequencyHz, mode, worth }: PassOption) =>
    [texts.isOn(name, kiloHertz(frequencyHz), mode ?? ''), worth ? shortWorth(worth) : '']
      .filter((one) => one)
      .join(' · ');

  async function askWhere() {
    await team.askWhere();
    await tick();
    if (team.passing) first?.focus();
    else onback();
  }

  async function write() {
    writing = true;
    await tick();
    field?.focus();
  }

  async function send() {
    if (message.trim() !== '' && !(await team.say(message))) return;
    message = '';
    leave();
  }

  function leave() {
    writing = false;
    team.passing = undefined;
    onback();
  }

  async function pass(option: PassOption) {
    await team.passTo(option);
    onback();
  }

  async function take() {
    if (coming) await team.takeStation(coming);
    onback();
  }

  function onkeydown(event: KeyboardEvent) {
    if (!event.altKey || event.repeat || others.length === 0) return;
    const key = event.key.toLowerCase();
    if (key === 'p') void askWhere();
    else if (key === 'm') void write();
    else if (key === 't' && coming) void take();
    else return;
    event.preventDefault();
  }

  const onEscape = (event: KeyboardEvent) => {
    if (event.key !== 'Escape') return;
    event.stopPropagation();
    leave();
  };
</script>

<svelte:window {onkeydown} />

{#if others.length > 0 || coming || team.doing.problem}
  <div class="keys team" role="group" aria-label={texts.team}>
    {#if team.passing}
      <span>{texts.passTo(team.passing.call)}</span>
      {#each team.passing.options as option, index (option.positionId)}
        {#if index === 0}
          <button bind:this={first} onkeydown={onEscape} onclick={() => void pass(option)}
            >{optionWords(option)}</button
          >
        {:else}
          <button onkeydown={onEscape} onclick={() => void pass(option)}>{optionWords(option)}</button>
        {/if}
      {/each}
      <button onkeydown={onEscape} onclick={leave}>{texts.cancel}</button>
    {:else if writing}
      <input
        bind:this={field}
        bind:value={message}
        class="message"
        maxlength="200"
        placeholder={texts.toAll}
        aria-label={texts.toAll}
        onkeydown={(event) => {
          onEscape(event);
          if (event.key === 'Enter') void send();
        }}
      />
      <button onclick={() => void send()}>{texts.send}</button>
      <button onclick={leave}>{texts.cancel}</button>
    {:else}
      <span class="muted">{texts.team}</span>
      {#each others as one (one.positionId)}
        <span
          >{one.name}
          {#if hz(one) === undefined}<span class="muted">{texts.frequencyUnknown}</span>
          {:else}<span class="mono">{kiloHertz(hz(one))}</span> {one.mode ?? ''}{/if}</span
        >
      {/each}
      {#if team.here?.warning}<strong class="trouble" role="status">{team.here.warning}</strong>{/if}
      {#if coming}
        <button title={texts.takeHint} onclick={() => void take()}
          ><kbd>Alt+T</kbd> {texts.take(coming.call ?? '', coming.from)}</button
        >
      {/if}
      {#if news}
        <span class="news" role="status" title={news.text}
          ><span class="mono muted">{utcMinute(news.at)}</span> {texts.said(news.from, news.text)}</span
        >
      {/if}
      {#if others.length > 0}
        <button title={texts.passOnHint} onclick={() => void askWhere()}
          ><kbd>Alt+P</kbd> {texts.passOn}</button
        >
        <button title={texts.sayHint} onclick={() => void write()}><kbd>Alt+M</kbd> {texts.say}</button>
      {/if}
    {/if}
    {#if team.doing.problem}<span class="trouble" role="alert">{team.doing.problem}</span>
    {:else if team.doing.notice}<span role="status">{team.doing.notice}</span>{/if}
  </div>
{/if}

<style>
  .team {
    gap: 4px 16px;
    min-height: 28px;
  }

  .message {
    flex: 1;
    min-width: 200px;
    padding: 4px 8px;
    border: 1px solid var(--yb-line-strong);
    background: var(--yb-panel);
    color: var(--yb-ink);
  }

  .news {
    max-width: 48ch;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
</style>
