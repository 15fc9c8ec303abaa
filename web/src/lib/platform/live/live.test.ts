import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { LiveConnection, type StreamSource } from './live.svelte';

class FakeSource implements StreamSource {
  static all: FakeSource[] = [];
  onopen: (() => void) | null = null;
  onerror: (() => void) | null = null;
  closed = false;
  listeners = new Map<string, (event: { data: string; lastEventId: string }) => void>();

  constructor(readonly address: string) {
    FakeSource.all.push(this);
  }

  addEventListener(kind: string, listener: (event: { data: string; lastEventId: string }) => void): void {
    this.listeners.set(kind, listener);
  }

  close(): void {
    this.closed = true;
  }

  say(kind: string, content: unknown, lastEventId = ''): void {
    this.listeners.get(kind)?.({ data: JSON.stringify(content), lastEventId });
  }
}

const last = () => FakeSource.all.at(-1) as FakeSource;

describe('LiveConnection', () => {
  beforeEach(() => {
    vi.useFakeTimers();
    FakeSource.all = [];
  });
  afterEach(() => vi.useRealTimers());

  it('passes news on to who listens', () => {
    const live = new LiveConnection((address) => new FakeSource(address));
    const totals: number[] = [];
    live.on('log', (news) => totals.push(news.total));
    live.on('lanes', () => undefined);
    live.start();
    last().onopen?.();
    last().say('log', { added: [], changed: [], total: 7, more: 0 }, 'era-1');
    expect(live.connected).toBe(true);
    expect(totals).toEqual([7]);
  });

  it('comes back by itself after a loss and says what it saw last', () => {
    const live = new LiveConnection((address) => new FakeSource(address));
    live.on('lanes', () => undefined);
    live.start();
    last().onopen?.();
    last().say('lanes', { services: [] }, 'era-41');
    last().onerror?.();
    expect(live.connected).toBe(false);
    expect(live.lostAt).toBeDefined();
    vi.advanceTimersByTime(2000);
    expect(FakeSource.all).toHaveLength(2);
    expect(last().address).toBe('/api/live?last=era-41');
    last().onopen?.();
    expect(live.lostAt).toBeUndefined();
  });

  it('notices a connection that only looks alive', () => {
    const live = new LiveConnection((address) => new FakeSource(address));
    live.on('lanes', () => undefined);
    live.start();
    last().onopen?.();
    vi.advanceTimersByTime(20_000);
    last().say('beat', {});
    vi.advanceTimersByTime(20_000);
    expect(live.connected).toBe(true);
    vi.advanceTimersByTime(6_000);
    expect(live.connected).toBe(false);
  });
});
