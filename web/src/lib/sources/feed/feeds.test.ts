// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/svelte';
import { describe, expect, it, vi } from 'vitest';
import type { Feed } from '../../platform/api/client';
import type { FakeServer } from '../../platform/shared/fake-server';
import { type Show, onPage } from '../../platform/shared/on-page';
import FeedForm from './FeedForm.svelte';
import FeedPanel from './FeedPanel.svelte';
import { ConsoleStore, FeedStore } from './feeds.svelte';

const feed = (more: Partial<Feed> = {}): Feed => ({
  id: 1,
  name: 'Beacon Hill',
  host: '127.0.0.1',
  port: 7412,
  login: 'CU9QYB',
  hasPassword: false,
  commands: 'sh/dx',
  keepAliveSeconds: 240,
  skimmer: false,
  hookup: 'feed-1',
  counts: {},
  examples: {},
  ...more,
});

const line = (number: number, text: string) => ({ number, text, at: '2026-05-01T14:07:00Z', sent: false });

let server: FakeServer;
let render: Show;

onPage((fresh) => ({ server, render } = fresh));

describe('the console of a feed', () => {
  it('asks only for what it has not got, and keeps no more than can be read', async () => {
    const store = new ConsoleStore(1);
    server.on('GET /api/feeds/1/console?after=0', { lines: [line(1, 'a'), line(2, 'b')] });
    await store.load();
    server.on('GET /api/feeds/1/console?after=2', {
      lines: [line(2, 'b'), ...Array.from({ length: 500 }, (_, i) => line(i + 3, 'line'))],
    });
    await store.load();
    expect(store.lines).toHaveLength(400);
    expect(store.lines.at(-1)?.number).toBe(502);
    expect(new Set(store.lines.map((line) => line.number)).size).toBe(400);
  });

  it('says what was typed, or why it could not', async () => {
    const store = new ConsoleStore(1);
    server.on('GET /api/feeds/1/console?after=0', { lines: [] });
    server.on('POST /api/feeds/1/say', { detail: 'Beacon Hill is not connected.' }, 409);
    expect(await store.say('sh/dx')).toBe(false);
    await store.load();
    expect(store.failure, 'lines that come take nothing of it away').toBe('Beacon Hill is not connected.');
    server.on('POST /api/feeds/1/say', {});
    expect(await store.say('sh/dx')).toBe(true);
    expect(store.failure).toBe('');
    expect(server.sent['POST /api/feeds/1/say']).toEqual({ line: 'sh/dx' });
  });

  it('stands beside what its lines became', async () => {
    server
      .on('GET /api/feeds/1/console?after=0', { lines: [line(1, 'DX de OZ1QAB: <b>14025.0</b>')] })
      .on('GET /api/feeds', [feed()])
      .on('POST /api/feeds/1/say', {});
    render(FeedPanel, {
      feed: feed({ counts: { spots: 1200, 'not read': 3 }, examples: { 'not read': 'Hello there' } }),
    });
    await screen.findByText(/<b>14025.0<\/b>/);
    expect(screen.getByText('1 200')).toBeDefined();
    expect(screen.getByText('Hello there')).toBeDefined();
    expect(screen.getByRole('button', { name: 'Say' })).toHaveProperty('disabled', true);
    await fireEvent.input(screen.getByLabelText('Command'), { target: { value: 'sh/dx' } });
    await fireEvent.click(screen.getByRole('button', { name: 'Say' }));
    await vi.waitFor(() => expect(screen.getByLabelText('Command')).toHaveProperty('value', ''));
    cleanup();
    render(FeedPanel, { feed: feed() });
    expect(screen.getByText('No line that says something has come yet.')).toBeDefined();
  });
});

describe('the form of a feed', () => {
  function show(of?: Feed) {
    const onclose = vi.fn();
    const feeds = new FeedStore();
    render(FeedForm, { feeds, feed: of, ownCall: 'CU9QYB', onclose });
    return { feeds, onclose };
  }
  const type = (label: string, value: string) =>
    fireEvent.input(screen.getByLabelText(label), { target: { value } });
  const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

  it('adds one with our call, and says at its field what is wrong', async () => {
    const { feeds, onclose } = show();
    expect(screen.getByLabelText('Log in as')).toHaveProperty('value', 'CU9QYB');
    await type('Name', 'Quarry');
    await type('Port', 'many');
    const sentence = 'A port is a number from 1 to 65535.';
    server.on('POST /api/feeds', { detail: sentence, fields: [{ field: 'port', sentence }] }, 422);
    await press('Add and connect');
    await screen.findByText(sentence);
    expect(onclose).not.toHaveBeenCalled();
    await type('Port', '7300');
    server.on('POST /api/feeds', [feed({ name: 'Quarry' })]);
    await press('Add and connect');
    await vi.waitFor(() => expect(onclose).toHaveBeenCalled());
    expect(server.sent['POST /api/feeds']).toMatchObject({ name: 'Quarry', port: 7300, login: 'CU9QYB' });
    expect(feeds.all).toHaveLength(1);
  });

  it('keeps the password it does not show', async () => {
    const { onclose } = show(feed({ hasPassword: true }));
    expect(screen.getByPlaceholderText('kept; type to change it')).toHaveProperty('value', '');
    server.on('PUT /api/feeds/1', [feed()]);
    await press('Save');
    await vi.waitFor(() => expect(onclose).toHaveBeenCalled());
    expect(server.sent['PUT /api/feeds/1']).not.toHaveProperty('password');
  });

  it('removes one', async () => {
    const { feeds, onclose } = show(feed());
    feeds.all = [feed()];
    server.on('DELETE /api/feeds/1', []);
    await press('Remove this feed');
    await vi.waitFor(() => expect(onclose).toHaveBeenCalled());
    expect(feeds.all).toEqual([]);
  });
});
