import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { FakeServer } from '../../platform/shared/fake-server';
import type { Memory } from '../../platform/shared/memory';
import type { OpenBookStore } from './book.svelte';
import { BEGINS, bookServer, bookStore, LOG, memory, READ, worth } from './test-book';

describe('a log on paper', () => {
  let server: FakeServer;
  let store: OpenBookStore;
  let kept: Memory;

  const book = () => bookStore(kept);

  beforeEach(async () => {
    server = bookServer();
    kept = memory();
    store = book();
    await store.open(3);
    store.work('PAPER', BEGINS);
  });
  afterEach(() => vi.unstubAllGlobals());

  const logged = (at: string) => ({ contactId: 7, call: 'W1QAB', at, fresh: true, sentence: 'Logged.' });

  it('begins with the contest, so that each time of its first day is the nearest', async () => {
    store.type('1432 w1qab 12 5');
    await vi.waitFor(() => expect(server.sent[READ]).toMatchObject({ before: '2026-10-24T12:00:00.000Z' }));
    expect(store.paper.day).toBe('2026-10-24');
  });

  it('reads each time from the contact before, also when lines wait', async () => {
    server.on(LOG, logged('2026-10-24T14:32:00Z'));
    store.type('1432 w1qab 12 5');
    const first = store.log();
    store.type('33 w2qab 13 5');
    const second = store.log();
    await Promise.all([first, second]);
    expect(server.requests.filter((one) => one === LOG)).toHaveLength(2);
    expect(server.sent[LOG]).toMatchObject({ text: '33 w2qab 13 5', before: '2026-10-24T14:32:00Z' });
  });

  it('tells whether its times are those of a contest', () => {
    const day = { from: BEGINS, until: '2026-10-25T00:00:00Z' };
    expect(store.paper.isWithin(day)).toBe(true);
    store.setPaperDay('2026-10-26');
    expect(store.paper.isWithin(day)).toBe(false);
    store.setPaperDay('2026-10-23');
    expect(store.paper.isWithin(day)).toBe(false);
  });

  it('goes on where it was after a reload, and with another day', () => {
    store.setPaperDay('2026-10-25');
    expect(book().paper.day).toBe('2026-10-25');
    expect(book().steps.way).toBe('PAPER');
    store.setPaperDay('yesterday');
    expect(store.problem).toContain('"yesterday" is not a day');
    expect(store.paper.day).toBe('2026-10-25');
  });
});

describe('wiping and correcting', () => {
  const CORRECT = 'POST /api/contest-books/3/line/contacts/';
  let server: FakeServer;
  let store: OpenBookStore;
  let kept: Memory;

  const contact = (contactId: number, call: string, received: string) => ({
    contactId,
    call,
    received,
    start: '2026-10-24T14:32:00Z',
    band: '20m',
    mode: 'CW',
    worth: worth(),
  });

  beforeEach(async () => {
    server = bookServer().on('GET /api/contest-books/3/contacts', [
      contact(9, 'DL1QAB', '599 7 14'),
      contact(8, 'W1QAB', '599 6 5'),
    ]);
    kept = memory();
    store = bookStore(kept);
    await store.open(3);
  });
  afterEach(() => vi.unstubAllGlobals());

  it('brings back what was wiped, to an empty line only', () => {
    store.type('w1qab 12');
    store.wipe();
    expect(store.text).toBe('');
    store.recall();
    expect(store.text).toBe('w1qab 12');
    store.wipe();
    store.type('k1');
    store.recall();
    expect(store.text).toBe('k1');
  });

  it('corrects the latest contact, and the one before it', async () => {
    store.type('zp5');
    store.correctOlder();
    expect(store.text).toBe('dl1qab 599 7 14');
    store.correctOlder();
    expect(store.text).toBe('w1qab 599 6 5');
    store.correctOlder();
    expect(store.text, 'there is none before').toBe('w1qab 599 6 5');
    store.type('w1qac 6 5');
    server.on(`${CORRECT}8`, [contact(8, 'W1QAC', '599 6 5')]);
    await store.enter();
    expect(server.sent[`${CORRECT}8`]).toMatchObject({ text: 'w1qac 6 5' });
    expect(server.sent[LOG]).toBeUndefined();
    expect(store.text, 'what was typed before').toBe('zp5');
    expect(store.notice).toBe('It is corrected.');
  });

  it('stays with a correction that is refused, and leaves a contact as it was', async () => {
    store.correctOlder();
    server.on(`${CORRECT}9`, { detail: 'Still missing: zone.' }, 422);
    await store.log();
    expect(store.problem).toContain('Still missing: zone.');
    expect(store.correction.contact?.contactId).toBe(9);
    await store.sendKey('CALL');
    expect(store.problem).toContain('End the correction first');
    store.leaveCorrection();
    expect(store.text).toBe('');
    expect(store.correction.contact).toBeUndefined();
  });

  it('keeps what is typed behind a correction while it is saved, also when Enter is pressed twice', async () => {
    store.correctOlder();
    server.on(`${CORRECT}9`, [contact(9, 'DL1QAC', '599 7 14')]);
    store.type('dl1qac 7 14');
    const once = store.enter();
    const twice = store.enter();
    store.type('dl1qac 7 14 k1');
    await once;
    expect(store.text).toBe('k1');
    await twice;
    expect(store.text).toBe('k1');
    expect(store.correction.contact).toBeUndefined();
  });

  it('ends a correction when another view is shown', () => {
    store.type('zp5');
    store.correctOlder();
    store.close();
    expect(store.correction.contact).toBeUndefined();
    expect(store.text).toBe('zp5');
  });

  it('does not keep the line of a correction, which would be logged after a reload', () => {
    store.type('zp5');
    store.correctOlder();
    expect(kept.getItem('yokebar-contest-line')).toBe('zp5');
  });

  it('takes contacts of this page before those of others', async () => {
    server.on(LOG, { contactId: 8, call: 'W1QAB', at: BEGINS, fresh: true, sentence: 'Logged.' });
    store.type('w1qab 6 5');
    await store.log();
    store.correctOlder();
    expect(store.text).toBe('w1qab 599 6 5');
  });
});
