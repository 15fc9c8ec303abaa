import { describe, expect, it, vi } from 'vitest';
import type { LogLine } from '../platform/api/client';
import { LatestStore } from './latest.svelte';

const line = (id: number, minute: number): LogLine => ({
  id,
  version: 0,
  call: 'ZP5QXA',
  ownCall: 'CU9QYB',
  start: `2026-05-01T14:${String(minute).padStart(2, '0')}:00Z`,
  band: '20m',
  mode: 'CW',
  seals: [],
  more: {},
});

const news = (added: LogLine[], changed: LogLine[] = [], gone: number[] = []) => ({
  added,
  changed,
  gone,
  total: 100,
  more: 0,
});
const ids = (lines: LogLine[]) => lines.map((l) => l.id);

async function with2(): Promise<LatestStore> {
  const store = new LatestStore(async () => ({ lines: [line(5, 9), line(2, 3)], total: 2 }));
  await store.load();
  return store;
}

describe('LatestStore', () => {
  it('puts news in at their place and does not repeat a line', async () => {
    const store = await with2();
    store.take(news([line(6, 10), line(7, 5), line(5, 9)]));
    expect(ids(store.lines)).toEqual([6, 5, 7, 2]);
    expect(store.total).toBe(100);
  });

  it('renews changed lines only', async () => {
    const store = await with2();
    store.take(news([], [{ ...line(2, 3), name: 'Ana' }, line(99, 1)]));
    expect(ids(store.lines)).toEqual([5, 2]);
    expect(store.lines[1]?.name).toBe('Ana');
  });

  it('keeps what was told while an older answer was on its way', async () => {
    const store = await with2();
    let answer: (() => void) | undefined;
    const slow = new LatestStore(async () => {
      await new Promise<void>((resolve) => (answer = resolve));
      return { lines: store.lines, total: 2 };
    });
    const loading = slow.load();
    slow.take(news([line(6, 10)], [{ ...line(2, 3), name: 'Ana' }]));
    answer?.();
    await loading;
    expect(ids(slow.lines)).toEqual([6, 5, 2]);
    slow.take(news([], [{ ...line(2, 3), name: 'Bia' }]));
    expect(slow.lines[2]?.name).toBe('Bia');
  });

  it('reads again when contacts are gone', async () => {
    const store = await with2();
    store.take(news([], [], [5]));
    await vi.waitFor(() => expect(store.total).toBe(2));
  });
});
