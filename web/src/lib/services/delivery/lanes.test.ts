import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { FakeServer } from '../../platform/shared/fake-server';
import { lane } from '../../platform/shared/samples';
import { LaneStore } from './lanes.svelte';

describe('LaneStore', () => {
  let server: FakeServer;

  beforeEach(() => (server = new FakeServer()));
  afterEach(() => vi.unstubAllGlobals());

  it('shows seals of the services in use, and of cards once there is one', () => {
    const store = new LaneStore();
    const quayside = lane({ ACCEPTED: 3 }, { id: 2, name: 'Quayside', inUse: false });
    const paper = { id: 4, name: 'Paper', byHand: true };
    store.all = [lane({}), quayside, lane({ DUE: 0 }, paper)];
    expect(store.sealed.map(({ id }) => id)).toEqual([1]);
    store.all = [lane({}), quayside, lane({ DUE: 2 }, paper)];
    expect(store.sealed.map(({ id }) => id)).toEqual([1, 4]);
  });

  it('reads the contacts behind a problem only where there are some', async () => {
    server
      .on('GET /api/services', [lane({ REFUSED: 1, HELD: 0 })])
      .on('GET /api/services/1/contacts?state=REFUSED', [{ id: 5, call: 'ZP5QXA', seals: [] }]);
    const lanes = new LaneStore();
    await lanes.load();
    expect(lanes.refused[1]?.map((line) => line.call)).toEqual(['ZP5QXA']);
    expect(lanes.held[1]).toEqual([]);
    expect(server.requests).toHaveLength(2);
  });

  it('reads once more, not once for each, when news come while it reads', async () => {
    server.on('GET /api/services', [lane({})]);
    const lanes = new LaneStore();
    await Promise.all([lanes.load(), lanes.load(), lanes.load(), lanes.load()]);
    expect(server.requests).toHaveLength(2);
  });

  it('reads at once when something is different, and then no more often than each second', async () => {
    vi.useFakeTimers();
    server.on('GET /api/services', [lane({})]);
    const lanes = new LaneStore();
    lanes.readSoon();
    lanes.readSoon();
    await vi.advanceTimersByTimeAsync(10);
    expect(server.requests).toHaveLength(1);
    lanes.readSoon();
    await vi.advanceTimersByTimeAsync(900);
    expect(server.requests).toHaveLength(1);
    await vi.advanceTimersByTimeAsync(100);
    expect(server.requests).toHaveLength(2);
    vi.useRealTimers();
  });

  it('keeps what a fetch brought, also when it failed', async () => {
    server.on('POST /api/services/1/fetches', {
      complete: true,
      fetched: 2,
      sentence: '2 new confirmations.',
    });
    const lanes = new LaneStore();
    await lanes.fetchNow(1);
    expect(lanes.fetched[1]).toBe('2 new confirmations.');
    server.on('POST /api/services/1/fetches', { detail: 'Not set up.' }, 409);
    await lanes.fetchNow(1);
    expect(lanes.fetched[1]).toBe('Not set up.');
    expect(lanes.fetching[1]).toBe(false);
  });

  it('tells why an identity was not installed', async () => {
    server.on('POST /api/services/1/identities', { detail: 'The passphrase does not open this file.' }, 422);
    const lanes = new LaneStore();
    await expect(lanes.install(1, new File(['x'], 'id.p12'), 'wrong')).rejects.toThrow(
      'does not open this file',
    );
  });
});

describe('what was confirmed for the first time', () => {
  beforeEach(() => vi.useFakeTimers());
  afterEach(() => vi.useRealTimers());

  it('is shown for a while, and the latest for longer', () => {
    const lanes = new LaneStore();
    const news = (call: string) => ({
      firsts: [{ service: 'Countersign', call, brings: 'a new entity, Cabo Verde' }],
      more: 0,
    });
    lanes.announce(news('D42QKZ'));
    vi.advanceTimersByTime(20_000);
    lanes.announce(news('D44QAB'));
    vi.advanceTimersByTime(20_000);
    expect(lanes.firsts?.firsts[0]?.call).toBe('D44QAB');
    vi.advanceTimersByTime(20_000);
    expect(lanes.firsts).toBeUndefined();
  });
});
