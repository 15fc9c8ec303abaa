<script lang="ts">
  import { Checkbox, PasswordInput } from 'carbon-components-svelte';
  import type { Feed } from '../../platform/api/client';
  import DeviceForm from '../device/DeviceForm.svelte';
  import Field from '../device/Field.svelte';
  import type { FeedStore } from './feeds.svelte';

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
  title={feed ? `Set up ${feed.name}` : 'Add a feed'}
  fresh={!feed}
  kind="feed"
  onsave={save}
  onremove={() => (feed ? feeds.remove(feed.id) : Promise.resolve())}
  {onclose}
>
  {#snippet children(fault)}
    <Field label="Name" bind:value={name} fault={fault('name')} />
    <Checkbox labelText="Receivers on their own speak there (a skimmer feed)" bind:checked={skimmer} />
    <Field label="Address" bind:value={host} fault={fault('host')} placeholder="127.0.0.1" />
    <Field label="Port" bind:value={port} fault={fault('port')} placeholder="7412" />
    <Field
      label="Log in as"
      bind:value={login}
      fault={fault('login')}
      helper="Your call; most ask for nothing else"
    />
    <PasswordInput
      size="sm"
      labelText="Password, if it asks for one"
      autocomplete="off"
      placeholder={clear ? 'cleared when saved' : feed?.hasPassword ? 'kept; type to change it' : 'none'}
      disabled={clear}
      bind:value={password}
      invalid={!!fault('password')}
      invalidText={fault('password')}
    />
    {#if feed?.hasPassword}
      <Checkbox labelText="Clear the stored password" bind:checked={clear} />
    {/if}
    {#if feed?.secretNotice}<p class="trouble across" role="alert">{feed.secretNotice}</p>{/if}
    <label class="across">
      <span class="bx--label">Said after each login, a line each</span>
      <textarea rows="2" bind:value={commands}></textarea>
      {#if fault('commands')}<span class="trouble">{fault('commands')}</span>{/if}
    </label>
    <Field
      label="Empty line when silent for, s"
      bind:value={keepAlive}
      fault={fault('keepAliveSeconds')}
      helper="0 for never"
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
