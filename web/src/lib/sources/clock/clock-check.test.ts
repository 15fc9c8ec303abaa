import { afterEach, describe, expect, it, vi } from 'vitest';
import { FakeServer } from '../../platform/shared/fake-server';
import { ClockCheckStore } from './clock-check.svelte';

describe('ClockCheckStore', () => {
  afterEach(() => vi.unstubAllGlobals());

  it('speaks up only when the clock is off by something to speak of', async () => {
    new FakeServer().on('GET /api/clock', { hookup: 'clock', behindMs: 40 });
    const check = new ClockCheckStore();
    expect(check.offset).toBe('');
    await check.load();
    expect(check.offset).toBe('');
    check.take({ hookup: 'clock', behindMs: 700, sentence: 'Behind.' });
    expect(check.offset).toBe('−0.7 s');
    check.take({ hookup: 'clock', behindMs: -2400, sentence: 'Ahead.' });
    expect(check.offset).toBe('+2.4 s');
  });

  it('knows nothing while the server is away', async () => {
    new FakeServer();
    const check = new ClockCheckStore();
    await check.load();
    expect(check.view).toBeUndefined();
  });
});
