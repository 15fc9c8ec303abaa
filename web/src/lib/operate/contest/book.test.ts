import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { FakeServer } from '../../platform/shared/fake-server';
import type { Memory } from '../../platform/shared/memory';
import type { OpenBookStore } from './book.svelte';
import { bookState } from './state';
import { worthWords } from './worth/worth';
import { BEGINS, bookServer, bookStore, LOG, memory, READ, view, worth } from './test-book';

describe('OpenBookStore', () => {
  let server: FakeServer;
  let kept: Memory;
  let store: OpenBookStore;

  const book = () => bookStore(kept);

  beforeEach(async () => {
    server = bookServer();
    kept = memory();
    store = book();
    await store.open(3);
  });
  afterEach(() => vi.unstubAllGlobals());

  it('takes what is guessed into the line before it logs', async () => {
    server.on(READ, view({ call: 'W1QAB', missing: ['zone'], guessed: { zone: '5' } }));
    store.type('w1qab 12');
    expect(store.guess, 'until the server has read this text').toBe('');
    await vi.waitFor(() => expect(store.guess).toBe('5'));
    server.on(READ, view({ call: 'W1QAB' }));
    await store.enter();
    expect(store.text).toBe('w1qab 12 5');
    expect(server.sent[LOG]).toBeUndefined();
    server.on(LOG, { contactId: 7, call: 'W1QAB', fresh: true, sentence: 'Logged.' });
    await vi.waitFor(() => expect(store.view?.missing).toEqual([]));
    await store.enter();
    expect(server.sent[LOG]).toMatchObject({ text: 'w1qab 12 5' });
  });

  it('shows a contact with the answer to its line, before the list is read again', async () => {
    const contact = {
      contactId: 7,
      start: '2026-10-24T12:00:00Z',
      call: 'W1QAB',
      band: '20m',
      mode: 'CW',
      received: '599 12 5',
      worth: worth({}),
    };
    server.on(READ, view({ call: 'W1QAB' }));
    server.on(LOG, { contactId: 7, call: 'W1QAB', fresh: true, sentence: 'Logged.', contact });
    store.type('w1qab 12 5');
    await store.log();
    expect(store.contacts.map((one) => one.contactId)).toContain(7);
  });

  it('guesses nothing while one of the missing fields is unknown', async () => {
    server.on(READ, view({ call: 'W1QAB', missing: ['serial', 'zone'], guessed: { zone: '5' } }));
    store.type('w1qab');
    await vi.waitFor(() => expect(store.view?.call).toBe('W1QAB'));
    expect(store.guess).toBe('');
  });

  describe('with texts that are sent', () => {
    const NEXT = 'POST /api/contest-books/3/line/next';
    const run = (slot: 'CALL' | 'EXCHANGE' | 'AGAIN' | 'THANKS', logs = false) => ({
      slot,
      text: slot,
      logs,
    });

    beforeEach(async () => {
      server.on(READ, view({ next: run('CALL') }));
      store.work('RUN', BEGINS);
      await vi.waitFor(() => expect(store.next?.slot).toBe('CALL'));
    });

    it('sends what comes next, with what was sent before', async () => {
      server.on(NEXT, { ...run('EXCHANGE'), problem: '' });
      server.on(READ, view({ call: 'W1QAB', missing: ['zone'], next: run('AGAIN') }));
      store.type('w1qab');
      await store.enter();
      expect(server.sent[NEXT]).toMatchObject({ text: 'w1qab', way: 'RUN', sent: [] });
      expect(store.text, 'its exchange is still to come').toBe('w1qab');
      await store.enter();
      expect(server.sent[NEXT]).toMatchObject({ text: 'w1qab', sent: ['EXCHANGE'] });
    });

    it('takes a guess rather than ask again', async () => {
      server.on(
        READ,
        view({ call: 'W1QAB', missing: ['zone'], guessed: { zone: '5' }, next: run('EXCHANGE') }),
      );
      store.type('w1qab');
      await vi.waitFor(() => expect(store.guess).toBe('5'));
      expect(store.takesGuess, 'nothing was sent yet').toBe(false);
      server.on(READ, view({ call: 'W1QAB', missing: ['zone'], guessed: { zone: '5' }, next: run('AGAIN') }));
      store.read();
      await vi.waitFor(() => expect(store.takesGuess).toBe(true));
      await store.enter();
      expect(store.text).toBe('w1qab 5');
      expect(server.sent[NEXT]).toBeUndefined();
    });

    it('logs with the last text, and leaves what was typed behind it', async () => {
      server.on(NEXT, { ...run('THANKS', true), problem: '' });
      server.on(LOG, { contactId: 7, call: 'W1QAB', fresh: true, sentence: 'Logged.' });
      store.type('w1qab 12 5');
      const entered = store.enter();
      store.type('w1qab 12 5 k1');
      const key = store.steps.key;
      await entered;
      expect(store.text).toBe('k1');
      await vi.waitFor(() => expect(server.sent[LOG]).toMatchObject({ text: 'w1qab 12 5', key }));
      expect(store.steps.key).not.toBe(key);
    });

    it('sends nothing more to a station whose contact is on its way into the log', async () => {
      server.on(NEXT, { ...run('THANKS', true), problem: '' });
      server.on(LOG, { contactId: 7, call: 'W1QAB', fresh: true, sentence: 'Logged.' });
      store.type('w1qab 12 5');
      const first = store.enter();
      const second = store.enter();
      await first;
      server.sent[NEXT] = undefined;
      await second;
      expect(server.sent[NEXT]).toBeUndefined();
      expect(store.text).toBe('');
      expect(store.steps.sent).toEqual([]);
    });

    it('keeps what was changed while the last text was being sent', async () => {
      server.on(NEXT, { ...run('THANKS', true), problem: '' });
      server.on(LOG, { contactId: 7, call: 'W1QAB', fresh: true, sentence: 'Logged.' });
      store.type('w1qab 12 5');
      const entered = store.enter();
      store.type('w1qab 12 4');
      await entered;
      expect(store.text).toBe('w1qab 12 4');
    });

    it('says why a text was not sent, and leaves the line', async () => {
      server.on(NEXT, { detail: 'Not sent: a program is transmitting.' }, 422);
      store.type('w1qab');
      await store.enter();
      expect(store.problem).toBe('Not sent: a program is transmitting.');
      expect(store.text).toBe('w1qab');
      expect(store.steps.sent).toEqual([]);
    });

    it('logs without sending anything when asked to', async () => {
      server.on(LOG, { contactId: 7, call: 'W1QAB', fresh: true, sentence: 'Logged.' });
      store.type('w1qab 12 5');
      await store.log();
      expect(server.sent[LOG]).toMatchObject({ text: 'w1qab 12 5' });
      expect(server.sent[NEXT]).toBeUndefined();
    });
  });

  it('takes received words: a call in front, anything else behind', () => {
    store.takeWord('014', false);
    expect(store.text).toBe('014 ');
    store.takeWord('W1QAB', true);
    expect(store.text).toBe('w1qab 014 ');
    store.takeWord('5', false);
    expect(store.text).toBe('w1qab 014 5 ');
    store.type('1qa');
    store.takeWord('W1QAB', true);
    expect(store.text).toBe('w1qab ');
  });

  it('puts a likely call where the typed one stood', async () => {
    store.type('1qa');
    store.takeCall('W1QAB');
    expect(store.text).toBe('w1qab ');
    server.on(READ, view({ call: 'W1QAC' }));
    store.type('12 w1qac');
    await vi.waitFor(() => expect(store.view?.call).toBe('W1QAC'));
    store.takeCall('W1QAB');
    expect(store.text).toBe('12 w1qab ');
  });

  it('sends a line off with where it was typed and is free for the next at once', async () => {
    server.on(LOG, { contactId: 7, call: 'W1QAB', fresh: true, sentence: 'Logged.' });
    store.tune('14025', 'CW');
    store.type('w1qab 12 5');
    const sent = store.enter();
    expect(store.text).toBe('');
    await sent;
    expect(store.notice).toBe('Logged.');
    expect(server.sent[LOG]).toMatchObject({
      text: 'w1qab 12 5',
      positionId: 1,
      frequency: '14025',
      mode: 'CW',
    });
  });

  it('takes the frequency that the radio had when the line was typed', async () => {
    server
      .on(
        'POST /api/contest-books/3/line/read',
        view({ fromRadio: true, frequencyHz: 7_025_500, mode: 'CW' }),
      )
      .on(LOG, { contactId: 7, call: 'W1QAB', fresh: true, sentence: '' });
    store.type('w1qab 12 5');
    await vi.waitFor(() => expect(store.view?.fromRadio).toBe(true));
    await store.enter();
    expect(server.sent[LOG]).toMatchObject({ frequency: '7025.5', mode: 'CW' });
  });

  it('tunes the radio to a frequency instead of logging it', async () => {
    server
      .on('POST /api/contest-books/3/line/read', view({ fromRadio: true, tunes: true }))
      .on('POST /api/line/tune', { there: true });
    store.type('14030');
    await vi.waitFor(() => expect(store.view?.tunes).toBe(true));
    await store.enter();
    expect(server.sent['POST /api/line/tune']).toMatchObject({ text: '14030', positionId: 1 });
    expect(server.sent[LOG]).toBeUndefined();
    expect(store.text).toBe('');
  });

  it.each(['14030', '14030.5', '14.03'])(
    'tunes to %s though the key came before the answer about it',
    async (khz) => {
      server
        .on('POST /api/contest-books/3/line/read', view({ fromRadio: true }))
        .on('POST /api/line/tune', { there: true });
      store.read();
      await vi.waitFor(() => expect(store.view?.fromRadio).toBe(true));
      store.type(khz);
      await store.enter();
      expect(server.sent['POST /api/line/tune']).toMatchObject({ text: khz });
      expect(server.sent[LOG]).toBeUndefined();
    },
  );

  it('logs what is typed right after tuning, though the answer about it is not there yet', async () => {
    server
      .on('POST /api/contest-books/3/line/read', view({ fromRadio: true, tunes: true }))
      .on('POST /api/line/tune', { there: true })
      .on(LOG, { contactId: 7, call: 'W1QAB', fresh: true, sentence: '' });
    store.type('14030');
    await vi.waitFor(() => expect(store.view?.tunes).toBe(true));
    void store.enter();
    store.type('w1qab 12 5');
    await store.enter();
    expect(server.sent[LOG]).toMatchObject({ text: 'w1qab 12 5' });
  });

  it('shows a frequency the radio refused beside the line, which is free for the next call', async () => {
    server
      .on('POST /api/contest-books/3/line/read', view({ fromRadio: true }))
      .on('POST /api/line/tune', { detail: 'No radio is connected.' }, 422);
    store.read();
    await vi.waitFor(() => expect(store.view?.fromRadio).toBe(true));
    for (let twice = 0; twice < 2; twice++) {
      store.type('7.012');
      await store.enter();
    }
    expect(store.text).toBe('');
    expect(store.lines.refused).toEqual([{ text: '7.012', sentence: 'No radio is connected.' }]);
  });

  it.each([
    ['7.012', '7.012'],
    ['7012,5', '7012.5'],
  ])('takes %s for the frequency where there is no radio', async (typed, frequency) => {
    server.on('POST /api/contest-books/3/line/read', view({ tunes: true }));
    store.tune('14025', 'CW');
    await vi.waitFor(() => expect(store.view).toBeDefined());
    store.type(typed);
    await store.enter();
    expect(store.text).toBe('');
    expect(store.place).toMatchObject({ frequency, mode: 'CW' });
    expect(server.sent[LOG]).toBeUndefined();
    expect(server.sent['POST /api/line/tune']).toBeUndefined();
  });

  it('tunes nothing by a time from paper', async () => {
    server
      .on('POST /api/contest-books/3/line/read', view({ fromRadio: true }))
      .on(LOG, { detail: 'Type a call and the exchange.' }, 422);
    store.work('PAPER', '2026-11-28T00:00:00Z');
    await vi.waitFor(() => expect(store.view?.fromRadio).toBe(true));
    store.type('1830');
    await store.enter();
    expect(store.text).toBe('1830');
    expect(server.sent['POST /api/line/tune']).toBeUndefined();
  });

  it('brings a refused line back with the reason', async () => {
    server.on(LOG, { detail: 'Still missing: zone.' }, 422);
    store.type('w1qab 12');
    await store.enter();
    expect(store.text).toBe('w1qab 12');
    expect(store.problem).toBe('Still missing: zone.');
  });

  it('says of a line that nobody answered how long ago it was typed, over a reload too', async () => {
    store.type('w1qab 12 5');
    await store.enter();
    expect(store.lines.waiting).toHaveLength(1);
    const later = Date.now() + 60_000;
    vi.spyOn(Date, 'now').mockReturnValue(later);
    server.on(LOG, { contactId: 7, call: 'W1QAB', fresh: true, sentence: '' });
    const reloaded = book();
    await reloaded.open(3);
    await vi.waitFor(() => expect(reloaded.lines.waiting).toEqual([]));
    expect((server.sent[LOG] as { agoMs: number }).agoMs).toBeGreaterThan(50_000);
    vi.restoreAllMocks();
  });
});

describe('worthWords', () => {
  it('tells points, multipliers and bonus', () => {
    expect(worthWords(worth({ points: 1 }))).toEqual(['1 point']);
    expect(worthWords(worth({ multipliers: ['zones'], bonus: 25 }))).toEqual([
      '3 points',
      'zones +1',
      'bonus 25',
    ]);
  });
});

describe('bookState', () => {
  it('tells whether a contest is to come, runs or is over', () => {
    const book = { from: '2026-11-28T00:00:00Z', until: '2026-11-30T00:00:00Z' } as never;
    expect(bookState(book, Date.parse('2026-11-27T00:00:00Z'))).toContain('begins');
    expect(bookState(book, Date.parse('2026-11-29T00:00:00Z'))).toContain('runs until');
    expect(bookState(book, Date.parse('2026-11-30T00:00:00Z'))).toBe('over');
  });
});
