<script lang="ts">
  import { Checkbox, PasswordInput } from 'carbon-components-svelte';
  import type { Feed } from '../../platform/api/client';
  import DeviceForm from '../device/DeviceForm.svelte';
  import Field from '../device/Field.svelte';
  import type { FeedStore } from './feeds.svelte';
  import { texts } from './texts';

  let {
    feeds,
    feed,
    ownCall,
    onclose,
  }: { feeds: FeedStore; feed?: Feed; ownCall?: string; onclose: () => void } = $props();

  // The form starts from what is stored and is its own from then on.
  const start = () => feed;
  let name = $state(start()?.name ?? '');
  let host = $state(start()?.host ?? '');
  let port = $state(String(start()?.port ?? ''));
  let login = $state(start()?.login ?? (() => ownCall ?? '')());
  let password = $state('');
  let clear = $state(false);
  let commands = $state(start()?.commands ?? '');
  let keepAlive = $state(String(start()?.keepAliveSeconds ?? 240));
  let skimmer = $state(start()?.skimmer ?? false);

  const save = () =>
    feeds.save(feed?.id, {
      name,
      host,
      port: Number(port) || 0,
      login,
      password: clear ? '' : password === '' ? undefined : password,
      commands,
      keepAliveSeconds: Number(keepAlive) || 0,
      skimmer,
    });
</script>

<DeviceForm
  title={feed ? texts.setUpName(feed.name) : texts.addAFeed}
  fresh={!feed}
  kind="feed"
  onsave={save}
  onremove={() => (feed ? feeds.remove(feed.id) : Promise.resolve())}
  {onclose}
>
  {#snippet children(fault)}
    <Field label={texts.name} bind:value={name} fault={fault('name')} />
    <Checkbox labelText={texts.receiversOnTheirOwnSpeak} bind:checked={skimmer} />
    <Field label={texts.address} bind:value={host} fault={fault('host')} placeholder="127.0.0.1" />
    <Field label={texts.port} bind:value={port} fault={fault('port')} placeholder="7412" />
    <Field
      label={texts.logInAs}
      bind:value={login}
      fault={fault('login')}
      helper={texts.yourCallMostAskFor}
    />
    <PasswordInput
      size="sm"
      labelText={texts.passwordIfItAsksFor}
      autocomplete="off"
      placeholder={clear ? texts.clearedWhenSaved : feed?.hasPassword ? texts.keptTypeToChangeIt : 'none'}
      disabled={clear}
      bind:value={password}
      invalid={!!fault('password')}
      invalidText={fault('password')}
    />
    {#if feed?.hasPassword}
      <Checkbox labelText={texts.clearTheStoredPassword} bind:checked={clear} />
    {/if}
    {#if feed?.secretNotice}<p class="trouble across" role="alert">{feed.secretNotice}</p>{/if}
    <label class="across">
      <span class="bx--label">{texts.saidAfterEachLoginA}</span>
      <textarea rows="2" bind:value={commands}></textarea>
      {#if fault('commands')}<span class="trouble">{fault('commands')}</span>{/if}
    </label>
    <Field
      label={texts.emptyLineWhenSilentFor}
      bind:value={keepAlive}
      fault={fault('keepAliveSeconds')}
      helper={texts.zeroForNever}
    />
  {/snippet}
</DeviceForm>

<style>
  textarea {
    width: 100%;
    padding: 4px 8px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 2px;
    background: var(--yb-ground);
    color: var(--yb-ink);
    font-family: var(--yb-mono);
    font-size: 13px;
  }
</style>
