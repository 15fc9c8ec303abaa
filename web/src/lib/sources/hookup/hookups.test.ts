import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Hookup } from '../../platform/api/client';
import { FakeServer } from '../../platform/shared/fake-server';
import { HookupStore } from './hookups.svelte';

const hookup = (id: string, more: Partial<Hookup> = {}): Hookup => ({
  id,
  kind: 'PROGRAM',
  name: id,
  where: 'UDP port 7371',
  state: 'LIVE',
  since: '2026-05-01T12:00:00Z',
  attempt: 0,
  lastMinute: 0,
  complete: true,
  ...more,
});

describe('HookupStore', () => {
  let server: FakeServer;

  beforeEach(() => (server = new FakeServer()));
  afterEach(() => vi.unstubAllGlobals());

  it('parts sources from services', async () => {
    server.on('GET /api/hookups', [hookup('a'), hookup('b', { kind: 'SERVICE' })]);
    const store = new HookupStore();
    await store.load();
    expect(store.sources.map((h) => h.id)).toEqual(['a']);
    expect(store.services.map((h) => h.id)).toEqual(['b']);
  });

  it('takes news of known and new couplings', () => {
    const store = new HookupStore();
    store.take(hookup('a'));
    store.take(hookup('a', { state: 'TROUBLE' }));
    store.take(hookup('b'));
    expect(store.all.map((h) => `${h.id} ${h.state}`)).toEqual(['a TROUBLE', 'b LIVE']);
  });

  it('keeps what a test found, and forgets it when the coupling is switched', async () => {
    server.on('POST /api/hookups/a/test', { works: true, sentence: 'It arrived.' });
    server.on('POST /api/hookups/a/disconnect', hookup('a', { state: 'OFF' }));
    const store = new HookupStore();
    await store.test('a');
    expect(store.proofs['a']).toEqual({ works: true, sentence: 'It arrived.' });
    expect(store.busy['a']).toBe(false);
    await store.setConnected('a', false);
    expect(store.proofs['a']).toBeUndefined();
    expect(store.all[0]?.state).toBe('OFF');
  });

  it('gives plates to the programs that tell most, and to whatever is in trouble', () => {
    const plates = (...all: Hookup[]) => {
      const store = new HookupStore();
      all.forEach((one) => store.take(one));
      return store.plates.map((h) => h.id);
    };
    const at = '2026-05-01T14:07:00Z';
    expect(
      plates(
        hookup('adif-datagrams', { lastData: at }),
        hookup('adif-stream', {}),
        hookup('file-10', { lastData: at }),
        hookup('file-11', { lastData: at, state: 'TROUBLE' }),
        hookup('link-a', { lastData: at }),
      ),
    ).toEqual(['file-11', 'link-a']);
    expect(
      plates(
        hookup('adif-datagrams', { lastData: at }),
        hookup('feed-1', { kind: 'FEED' }),
        hookup('radio-2', { kind: 'DEVICE' }),
      ),
    ).toEqual(['radio-2', 'adif-datagrams', 'feed-1']);
    expect(plates(hookup('adif-datagrams', {}), hookup('adif-stream', {}))).toEqual(['adif-datagrams']);
  });

  it('says when the server does not answer', async () => {
    const store = new HookupStore();
    await store.test('a');
    expect(store.proofs['a']).toEqual({ works: false, sentence: 'Yokebar does not answer. Is it running?' });
    await store.load();
    expect(store.problem).toContain('does not answer');
  });
});
