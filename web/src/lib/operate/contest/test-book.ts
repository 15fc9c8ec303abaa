import type { ContestLineView, ContestWorth } from '../../platform/api/client';
import { FakeServer } from '../../platform/shared/fake-server';
import type { Memory } from '../../platform/shared/memory';
import { OpenBookStore } from './book.svelte';

export const READ = 'POST /api/contest-books/3/line/read';
export const LOG = 'POST /api/contest-books/3/line/log';
export const BEGINS = '2026-10-24T00:00:00Z';

export function memory(): Memory {
  const kept = new Map<string, string>();
  return { getItem: (key) => kept.get(key) ?? null, setItem: (key, value) => void kept.set(key, value) };
}

export function view(more: Partial<ContestLineView> = {}): ContestLineView {
  return {
    country: '',
    received: {},
    missing: [],
    guessed: {},
    questions: [],
    likely: [],
    send: '599 1 14',
    fromRadio: false,
    tunes: false,
    problems: [],
    ...more,
  };
}

export function worth(more: Partial<ContestWorth> = {}): ContestWorth {
  return { counts: true, dupe: false, reason: '', points: 3, multipliers: [], bonus: 0, ...more };
}

/** A server with an empty book. */
export const bookServer = () =>
  new FakeServer()
    .on('GET /api/contest-books/3/score', { contacts: 0, byBand: [], multipliers: {} })
    .on('GET /api/contest-books/3/contacts', [])
    .on(READ, view());

/** The store of a page at a position without a radio. */
export const bookStore = (kept: Memory) =>
  new OpenBookStore(
    () => 1,
    () => undefined,
    kept,
  );
