import { describe, expect, it } from 'vitest';
import type { LogLine } from '../api/client';
import { LogStore, type PageReader } from './log.svelte';

const line = (id: number, minute: number, call = 'ZP5QXA'): LogLine => ({
  id,
  call,
  ownCall: 'CU9QYB',
  start: `2026-05-01T14:${String(minute).padStart(2, '0')}:00Z`,
  band: '20m',
  mode: 'CW',
  seals: [],
});

const reader =
  (pages: Record<string, { lines: LogLine[]; next?: string }>): PageReader =>
  async (call, below) => ({ total: 99, ...(pages[`${call}|${below ?? ''}`] ?? { lines: [] }) });

const news = (added: LogLine[], changed: LogLine[] = []) => ({ added, changed, total: 100, more: 0 });
const ids = (lines: LogLine[]) => lines.map((l) => l.id);

describe('LogStore', () => {
  it('loads page after page', async () => {
    const log = new LogStore(
      reader({ '|': { lines: [line(3, 9)], next: 'a' }, '|a': { lines: [line(2, 8)] } }),
    );
    await log.load();
    expect(log.complete).toBe(false);
    await log.loadMore();
    expect(ids(log.lines)).toEqual([3, 2]);
    expect(log.complete).toBe(true);
    await log.loadMore();
    expect(log.lines).toHaveLength(2);
  });

  it('puts news in at their place', async () => {
    const log = new LogStore(reader({ '|': { lines: [line(5, 9), line(2, 3)] } }));
    await log.load();
    log.take(news([line(6, 10), line(7, 5)]));
    expect(ids(log.lines)).toEqual([6, 5, 7, 2]);
    expect(log.total).toBe(100);
  });

  it('does not repeat a line it has', async () => {
    const log = new LogStore(reader({ '|': { lines: [line(5, 9)] } }));
    await log.load();
    log.take(news([line(5, 9)]));
    expect(ids(log.lines)).toEqual([5]);
  });

  it('leaves older lines to their page', async () => {
    const log = new LogStore(reader({ '|': { lines: [line(5, 9)], next: 'a' } }));
    await log.load();
    log.take(news([line(6, 1)]));
    expect(ids(log.lines)).toEqual([5]);
  });

  it('holds news back while the reader looks elsewhere', async () => {
    const log = new LogStore(reader({ '|': { lines: [line(5, 9)] } }));
    await log.load();
    log.hold(true);
    log.take(news([line(6, 10)]));
    log.take(news([], [line(6, 10, 'OZ1QAB')]));
    expect(ids(log.lines)).toEqual([5]);
    expect(log.waiting.map((l) => l.call)).toEqual(['OZ1QAB']);
    log.showWaiting();
    expect(ids(log.lines)).toEqual([6, 5]);
    expect(log.waiting).toEqual([]);
    log.take(news([line(7, 11)]));
    expect(ids(log.waiting)).toEqual([7]);
    log.hold(false);
    expect(ids(log.lines)).toEqual([7, 6, 5]);
  });

  it('takes only what a search asks for', async () => {
    const log = new LogStore(reader({ 'oz|': { lines: [line(4, 4, 'OZ1QAB')] } }));
    await log.find('oz');
    log.take(news([line(6, 10, 'ZP5QXA'), line(7, 11, 'OZ2QCD')]));
    expect(ids(log.lines)).toEqual([7, 4]);
  });

  it('lets the last search win', async () => {
    let slow: (() => void) | undefined;
    const log = new LogStore((call) =>
      call === 'slow'
        ? new Promise((done) => (slow = () => done({ lines: [line(1, 1)], total: 1 })))
        : Promise.resolve({ lines: [line(2, 2)], total: 1 }),
    );
    const first = log.find('slow');
    await log.find('quick');
    slow?.();
    await first;
    expect(ids(log.lines)).toEqual([2]);
    expect(log.loading).toBe(false);
  });

  it('says what went wrong', async () => {
    const log = new LogStore(() => Promise.reject(new Error('no')));
    await log.load();
    expect(log.problem).toContain('no');
  });
});
