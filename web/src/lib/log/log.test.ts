import { describe, expect, it, vi } from 'vitest';
import type { LogLine } from '../platform/api/client';
import { LogStore, type RowsAsked, type RowsReader } from './log.svelte';

const line = (id: number): LogLine => ({
  id,
  version: 0,
  call: `ZP5QX${id}`,
  ownCall: 'CU9QYB',
  start: '2026-05-01T14:07:00Z',
  band: '20m',
  mode: 'CW',
  seals: [],
  more: {},
});

/** A log of so many contacts, the newest with the highest number. */
class Log {
  asked: RowsAsked[] = [];
  constructor(public contacts: number) {}
  read: RowsReader = async (asked) => {
    this.asked.push(asked);
    const ids = Array.from({ length: this.contacts }, (_, i) => this.contacts - i);
    const anchorPlace = asked.anchor === undefined ? undefined : ids.indexOf(asked.anchor);
    return {
      lines: ids.slice(asked.from, asked.from + asked.limit).map(line),
      from: asked.from,
      found: this.contacts,
      total: this.contacts,
      anchorPlace,
      problems: [],
    };
  };
}

const news = (added: LogLine[], changed: LogLine[] = [], total = 1) => ({
  added,
  changed,
  gone: [],
  total,
  more: 0,
});

async function loaded(log: Log): Promise<LogStore> {
  const store = new LogStore(log.read);
  store.watch();
  store.reload();
  await vi.waitFor(() => expect(store.loading).toBe(false));
  return store;
}

/** A store whose next answers come only when they are let through; they are as old as their questions. */
async function heldBack(log: Log) {
  const answer: { holding: boolean; due?: () => void; now: () => void } = {
    holding: false,
    now() {
      this.holding = false;
      this.due?.();
    },
  };
  const store = new LogStore(async (asked) => {
    const read = await log.read(asked);
    if (answer.holding) await new Promise<void>((resolve) => (answer.due = resolve));
    return read;
  });
  store.watch();
  store.reload();
  await vi.waitFor(() => expect(store.loading).toBe(false));
  answer.holding = true;
  return { store, answer };
}

describe('LogStore', () => {
  it('reads nothing again while nobody looks, and all of it for whoever comes back', async () => {
    const log = new Log(1000);
    const store = new LogStore(log.read);
    const leave = store.watch();
    store.reload();
    await vi.waitFor(() => expect(store.loading).toBe(false));
    leave();
    vi.useFakeTimers();
    store.take(news([line(1001)], [], 1001));
    await vi.advanceTimersByTimeAsync(1_000);
    vi.useRealTimers();
    expect(log.asked).toHaveLength(1);
    expect(store.total).toBe(1001);
    store.watch();
    await vi.waitFor(() => expect(log.asked).toHaveLength(2));
  });

  it('fetches only the pages somebody looks at', async () => {
    const log = new Log(1000);
    const store = await loaded(log);
    expect(store.found).toBe(1000);
    expect(store.at(0)?.id).toBe(1000);
    expect(store.at(500)).toBeUndefined();
    store.look(490, 530);
    await vi.waitFor(() => expect(store.at(520)?.id).toBe(480));
    expect(log.asked.map((a) => a.from)).toEqual([0, 400, 500]);
    store.look(495, 520);
    expect(log.asked).toHaveLength(3);
  });

  it('lets an overtaken search go', async () => {
    let answerFirst: (() => void) | undefined;
    const log = new Log(3);
    const store = new LogStore(async (asked) => {
      if (asked.search === 'slow') {
        await new Promise<void>((resolve) => (answerFirst = resolve));
      }
      return { ...(await log.read(asked)), found: asked.search === 'slow' ? 99 : 3 };
    });
    store.find('slow');
    store.find('quick');
    await vi.waitFor(() => expect(store.found).toBe(3));
    answerFirst?.();
    await Promise.resolve();
    expect(store.found).toBe(3);
  });

  it('keeps a page whose answer came before that of the page the search began with', async () => {
    const log = new Log(1000);
    const store = await loaded(log);
    let answerFirst: (() => void) | undefined;
    const read = log.read;
    log.read = async (question) => {
      if (question.from === 0) await new Promise<void>((resolve) => (answerFirst = resolve));
      return read.call(log, question);
    };
    const later = new LogStore((question) => log.read(question));
    later.found = store.found;
    later.reload();
    later.look(500, 530);
    await vi.waitFor(() => expect(later.at(500)?.id).toBe(500));
    answerFirst?.();
    await vi.waitFor(() => expect(later.at(0)?.id).toBe(1000));
    expect(later.at(500)?.id).toBe(500);
    expect(later.found).toBe(1000);
  });

  it('takes changed lines in their places', async () => {
    const store = await loaded(new Log(3));
    store.take(news([], [{ ...line(2), name: 'Ana' }], 3));
    expect(store.at(1)?.name).toBe('Ana');
  });

  it('shows what is new at once to who looks at the top', async () => {
    const log = new Log(3);
    const store = await loaded(log);
    log.contacts = 4;
    store.take(news([line(4)], [], 4));
    await vi.waitFor(() => expect(store.at(0)?.id).toBe(4));
    expect(store.waiting).toBe(0);
  });

  it('lets what is new wait for who looks elsewhere, and keeps their places', async () => {
    const log = new Log(1000);
    const store = await loaded(log);
    store.look(200, 230);
    await vi.waitFor(() => expect(store.at(200)?.id).toBe(800));
    store.hold(true);
    log.contacts = 1003;
    store.take(news([line(1003)], [], 1003));
    await vi.waitFor(() => expect(store.waiting).toBe(3));
    expect(store.at(200)?.id).toBe(800);
    store.look(300, 330);
    await vi.waitFor(() => expect(store.at(300)?.id).toBe(700));
    store.hold(false);
    await vi.waitFor(() => expect(store.at(300)?.id).toBe(703));
    expect(store.waiting).toBe(0);
  });

  it('leaves the rows as they are under a pointer that came while news were fetched', async () => {
    const log = new Log(1000);
    const { store, answer } = await heldBack(log);
    log.contacts = 1003;
    store.take(news([line(1003)], [], 1003));
    await vi.waitFor(() => expect(answer.due).toBeDefined());
    store.hold(true);
    answer.now();
    await vi.waitFor(() => expect(store.waiting).toBe(3));
    expect(store.at(0)?.id).toBe(1000);
    store.look(100, 130);
    await vi.waitFor(() => expect(store.at(100)?.id).toBe(900));
    store.look(0, 30);
    store.hold(false);
    await vi.waitFor(() => expect(store.at(0)?.id).toBe(1003));
  });

  it('shows what was searched for though news came meanwhile and the pointer is on the rows', async () => {
    const log = new Log(1000);
    const { store, answer } = await heldBack(log);
    store.find('band:20m');
    log.contacts = 1003;
    store.take(news([line(1003)], [], 1003));
    await vi.waitFor(() => expect(log.asked).toHaveLength(3));
    store.hold(true);
    answer.now();
    await vi.waitFor(() => expect(store.loading).toBe(false));
    expect(store.at(0)?.id).toBe(1003);
  });

  it('shows that contacts are gone when the reader leaves the rows', async () => {
    const log = new Log(1000);
    const store = await loaded(log);
    store.watch();
    store.hold(true);
    log.contacts = 998;
    store.take({ ...news([], [], 998), gone: [1, 2] });
    await vi.waitFor(() => expect(log.asked).toHaveLength(2));
    store.hold(false);
    await vi.waitFor(() => expect(store.found).toBe(998));
  });

  it('keeps a change of a line that came while an older answer was on its way', async () => {
    const log = new Log(3);
    const { store, answer } = await heldBack(log);
    store.reload();
    await vi.waitFor(() => expect(answer.due).toBeDefined());
    store.take(news([], [{ ...line(2), name: 'Ana' }], 3));
    answer.now();
    await vi.waitFor(() => expect(store.loading).toBe(false));
    expect(store.at(1)?.name).toBe('Ana');
  });

  it('tells when it cannot be read', async () => {
    const store = new LogStore(async () => Promise.reject(new Error('gone')));
    store.reload();
    await vi.waitFor(() => expect(store.problem).toContain('gone'));
    expect(store.loading).toBe(false);
  });
});
