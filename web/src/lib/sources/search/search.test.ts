import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { SearchView } from '../../platform/api/client';
import { FakeServer } from '../../platform/shared/fake-server';
import { SearchStore } from './search.svelte';

const HALF: SearchView = {
  running: true,
  tried: 3,
  of: 6,
  port: 1,
  ports: 2,
  now: '/dev/ttyUSB0 at 9 600 baud',
  findings: [
    { kind: 'RADIO', address: '127.0.0.1:7402', bus: 0, sentence: 'A radio.' },
    { kind: 'NOTHING', address: '/dev/x', bus: 0, sentence: 'Nothing.' },
  ],
};

describe('SearchStore', () => {
  let server: FakeServer;

  beforeEach(() => (server = new FakeServer()));
  afterEach(() => vi.unstubAllGlobals());

  it('knows how far it is and what was found', () => {
    const search = new SearchStore();
    expect(search.progress).toBe(0);
    search.take(HALF);
    expect(search.progress).toBeCloseTo(0.75);
    expect(search.found('RADIO')).toHaveLength(1);
    expect(search.found('ROTATOR')).toHaveLength(0);
  });

  it('starts, stops, and says when that was not possible', async () => {
    server.on('POST /api/device-search', HALF);
    const search = new SearchStore();
    await search.start(['/dev/x']);
    expect(search.view.running).toBe(true);
    await search.cancel();
    expect(search.problem).toBe('Yokebar does not answer. Is it running?');
  });
});
