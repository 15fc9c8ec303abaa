import { beforeEach, describe, expect, it } from 'vitest';
import type { Tryout } from '../../platform/api/client';
import { FakeServer } from '../../platform/shared/fake-server';
import { IntakeStore } from './intake.svelte';
import { JournalStore, WhyStore } from './journal.svelte';
import { TryoutStore } from './tryout.svelte';

let server: FakeServer;

beforeEach(() => {
  server = new FakeServer();
});

const line = (id: number) => ({ id, decision: 'ADDED', raw: '', sentence: `record ${id}` });

const tryout = (state: string, more: object = {}): Tryout =>
  ({
    id: 't1',
    name: 'log.adi',
    picture: {
      state,
      percent: 0,
      recordsPerSecond: 0,
      counts: {},
      ownCalls: {},
      samples: [],
      troubles: [],
      ...more,
    },
  }) as unknown as Tryout;

describe('sources', () => {
  it('shows what the server answers after each change', async () => {
    const store = new IntakeStore();
    server.on('POST /api/intake-sources/files', [{ id: 10, name: 'log.adi' }]);
    await store.follow('/home/log.adi', 'EVERYTHING', '', {});
    expect(store.sources.map((s) => s.name)).toEqual(['log.adi']);
    server.on('DELETE /api/intake-sources/10', []);
    await store.remove(10);
    expect(store.sources).toEqual([]);
  });

  it('lets held contacts go and tells how many', async () => {
    const store = new IntakeStore();
    server.on('POST /api/intake-sources/10/let-go', { contacts: 3 }).on('GET /api/intake-sources', []);
    expect(await store.letGo(10)).toBe(3);
  });

  it('tells why a file cannot be followed', async () => {
    const store = new IntakeStore();
    const fields = [{ field: 'path', sentence: 'It is a folder.' }];
    server.on('POST /api/intake-sources/files', { detail: 'It is a folder.', fields }, 422);
    await expect(store.follow('/home', 'EVERYTHING', '', {})).rejects.toThrow('It is a folder.');
  });
});

describe('the journal', () => {
  it('asks with the filters and goes on below the oldest', async () => {
    const journal = new JournalStore();
    journal.call = ' zp5qxa ';
    journal.decision = 'ADDED';
    server.on(
      'GET /api/journal?limit=100&decision=ADDED&call=zp5qxa',
      Array.from({ length: 100 }, (_, i) => line(200 - i)),
    );
    await journal.load();
    expect(journal.more).toBe(true);
    server.on('GET /api/journal?limit=100&below=101&decision=ADDED&call=zp5qxa', [line(50)]);
    await journal.older();
    expect(journal.lines).toHaveLength(101);
    expect(journal.more).toBe(false);
  });

  it('says what became of a record that was sent through again', async () => {
    const journal = new JournalStore();
    server.on('POST /api/journal/7/again', { sentence: 'New: ZP5QXA.' }).on('GET /api/journal?limit=100', []);
    expect(await journal.again(7, '<eor>')).toBe('New: ZP5QXA.');
  });

  it('keeps the problem of a question beside its field', async () => {
    const why = new WhyStore();
    server.on(
      'GET /api/journal/why?call=x',
      { detail: 'no', fields: [{ field: 'call', sentence: 'no call' }] },
      422,
    );
    await why.ask('x', '');
    expect(why.reasons).toBeUndefined();
    expect(why.problem?.fields.get('call')).toBe('no call');
  });
});

describe('a tryout', () => {
  it('is watched until it is read', async () => {
    const store = new TryoutStore(() => Promise.resolve(tryout('READING')), 0);
    server.on('GET /api/tryouts/t1', tryout('READ', { percent: 100 }));
    await store.file(new File(['x'], 'log.adi'));
    expect(store.underWay).toBe(false);
    expect(store.now?.picture.percent).toBe(100);
  });

  it('fetches from a device only once its host is confirmed', async () => {
    const store = new TryoutStore(undefined, 0);
    server.on('POST /api/tryouts/address', { host: '192.168.1.20' });
    await store.address('http://portable/log.adi');
    expect(store.host).toBe('192.168.1.20');
    expect(store.now).toBeUndefined();
    server.on('POST /api/tryouts/address', { host: '192.168.1.20', tryout: tryout('READ') });
    await store.address('http://portable/log.adi');
    expect(store.host).toBe('');
    expect(store.now?.id).toBe('t1');
  });

  it('tells why a file cannot be looked at', async () => {
    const store = new TryoutStore(undefined, 0);
    server.on('POST /api/tryouts/path', { detail: 'It is not there.', fields: [] }, 422);
    await store.path('/nowhere');
    expect(store.problem?.message).toBe('It is not there.');
  });
});
