import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { BoardLine, Scoreboard } from '../../../platform/api/client';
import { FakeServer } from '../../../platform/shared/fake-server';
import { BoardStore } from './board.svelte';
import { choices, passing } from './filter';
import { ownCourse } from './own-course';

const line = (call: string, more: Partial<BoardLine> = {}): BoardLine => ({
  call,
  score: 100,
  at: '2026-11-28T12:00:00Z',
  contacts: 10,
  multipliers: { zones: 3, entities: 4 },
  category: { operator: 'SINGLE-OP', power: 'LOW' },
  club: '',
  team: '',
  continent: 'EU',
  ...more,
});

const board: Scoreboard = {
  hookup: 'tally-ho',
  address: 'http://board.example/',
  account: 'CU9QYB',
  hasPassword: true,
  team: '',
  everyMinutes: 5,
  allowedEverySeconds: 120,
};

describe('the filters of the scoreboard', () => {
  const lines = [
    line('W1QAB', { continent: 'NA', club: 'Harbour Lights' }),
    line('DL1QAA', { category: { power: 'HIGH' } }),
    line('CU9QYB'),
  ];

  it('leave everything when nothing is chosen', () => {
    const all = passing(lines, { category: '', club: '', continent: '' });
    expect(all.map((one) => one.place)).toEqual([1, 2, 3]);
  });

  it('count places among those that are left', () => {
    const low = passing(lines, { category: 'LOW', club: '', continent: 'EU' });
    expect(low).toEqual([{ place: 1, line: lines[2] }]);
    expect(passing(lines, { category: '', club: 'nobody', continent: '' })).toEqual([]);
  });

  it('offer each choice once', () => {
    expect(choices(lines, (one) => Object.values(one.category))).toEqual(['HIGH', 'LOW', 'SINGLE-OP']);
    expect(choices(lines, (one) => [one.club])).toEqual(['Harbour Lights']);
  });
});

describe('the own course', () => {
  it('grows by the hours of the book and ends now', () => {
    const hour = { contacts: 3, points: 6, multipliers: 2 };
    const hours = [
      { ...hour, from: '2026-11-28T10:00:00Z', score: 12 },
      { ...hour, from: '2026-11-28T11:00:00Z', score: 40 },
    ];
    expect(ownCourse(hours, Date.parse('2026-11-28T11:30:00Z'))).toEqual([
      { at: '2026-11-28T10:00:00Z', score: 0 },
      { at: '2026-11-28T11:00:00.000Z', score: 12 },
      { at: '2026-11-28T11:30:00.000Z', score: 40 },
    ]);
    expect(ownCourse([], 0)).toEqual([]);
  });
});

describe('BoardStore', () => {
  let server: FakeServer;
  let store: BoardStore;

  beforeEach(async () => {
    server = new FakeServer()
      .on('GET /api/scoreboard', board)
      .on('GET /api/scoreboard/last-post?book=4', { postedAt: '2026-11-28T12:00:00Z', score: 90 });
    store = new BoardStore();
    await store.load(4);
  });
  afterEach(() => vi.unstubAllGlobals());

  it('is complete only with address, account and password', async () => {
    expect(store.complete).toBe(true);
    server.on('PUT /api/scoreboard', { ...board, hasPassword: false });
    await store.save('address', { address: 'http://other.example/' });
    expect(store.complete).toBe(false);
  });

  it('says what came of a test', async () => {
    server.on('POST /api/hookups/tally-ho/test', { works: true, sentence: 'It may post.' });
    await store.test();
    expect(store.notice).toBe('It may post.');
    server.on('POST /api/hookups/tally-ho/test', { works: false, sentence: 'No such account.' });
    await store.test();
    expect(store.notice).toBe('');
    expect(store.failure).toBe('No such account.');
    await store.load(4);
    expect(store.failure, 'a new contact takes no reason away').toBe('No such account.');
  });
});
