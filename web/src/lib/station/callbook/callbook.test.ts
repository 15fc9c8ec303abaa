import { beforeEach, describe, expect, it } from 'vitest';
import { FakeServer } from '../../platform/shared/fake-server';
import { CallbookStore } from './callbook.svelte';

const CALLBOOK = { hookup: 'callbook', hasPassword: false, freshDays: 30, answers: 0, fileEntries: 0 };

describe('CallbookStore', () => {
  let server: FakeServer;
  beforeEach(() => (server = new FakeServer()));

  it('saves a field and says at it what is wrong', async () => {
    server.on(
      'PUT /api/callbook',
      { detail: 'No.', fields: [{ field: 'address', sentence: 'No address.' }] },
      422,
    );
    const store = new CallbookStore();
    expect(await store.save('address', { address: 'x' })).toBe(false);
    expect(store.saving.fault('address', 'address')).toBe('No address.');
    server.on('PUT /api/callbook', { ...CALLBOOK, address: 'http://host/' });
    expect(await store.save('address', { address: 'http://host/' })).toBe(true);
    expect(store.view?.address).toBe('http://host/');
  });

  it('tells what a test found', async () => {
    server.on('GET /api/callbook', CALLBOOK);
    const store = new CallbookStore();
    await store.load();
    server.on('POST /api/hookups/callbook/test', { works: true, sentence: 'It lets us in.' });
    await store.test();
    expect(store.doing.notice).toBe('It lets us in.');
    server.on('POST /api/hookups/callbook/test', { works: false, sentence: 'It refuses the account.' });
    await store.test();
    expect([store.doing.notice, store.doing.problem]).toEqual(['', 'It refuses the account.']);
  });

  it('reads a file in its place and says what was left out', async () => {
    server.on('POST /api/callbook/file', { callbook: { ...CALLBOOK, fileEntries: 2 }, leftOut: 3 });
    const store = new CallbookStore();
    await store.takeFile(new File(['call'], 'club.csv'));
    expect(store.view?.fileEntries).toBe(2);
    expect(store.doing.notice).toBe('Read; 3 lines without a call were left out.');
    server.on('POST /api/callbook/file', { detail: 'There is no call in it.' }, 422);
    await store.takeFile(new File([''], 'club.csv'));
    expect(store.doing.problem).toBe('There is no call in it.');
    expect(store.view?.fileEntries).toBe(2);
  });
});
