import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { ContestLineView, ContestWorth } from '../../platform/api/client';
import { FakeServer } from '../../platform/shared/fake-server';
import type { Memory } from '../../platform/shared/memory';
import { OpenBookStore } from './book.svelte';
import { bookState } from './state';
import { worthWords } from './worth';

const LOG = 'POST /api/contest-books/3/line/log';

function memory(): Memory {
  const kept = new Map<string, string>();
  return { getItem: (key) => kept.get(key) ?? null, setItem: (key, value) => void kept.set(key, value) };
}

function view(more: Partial<ContestLineView> = {}): ContestLineView {
  return {
    country: '',
    received: {},
    missing: [],
    send: '599 1 14',
    fromRadio: false,
    tunes: false,
    problems: [],
    ...more,
  };
}

function worth(more: Partial<ContestWorth> = {}): ContestWorth {
  return { counts: true, dupe: false, reason: '', points: 3, multipliers: [], bonus: 0, ...more };
}

describe('OpenBookStore', () => {
  let server: FakeServer;
  let kept: Memory;
  let store: OpenBookStore;

  const book = () => new OpenBookStore(() => 1, kept);

  beforeEach(async () => {
    server = new FakeServer()
      .on('GET /api/contest-books/3/score', { contacts: 0, byBand: [], multipliers: {} })
      .on('GET /api/contest-books/3/contacts', [])
      .on('POST /api/contest-books/3/line/read', view());
    kept = memory();
    store = book();
    await store.open(3);
  });
  afterEach(() => vi.unstubAllGlobals());

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
