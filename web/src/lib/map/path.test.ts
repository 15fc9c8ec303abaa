import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { LogLine } from '../api/client';
import { FakeServer } from '../shared/fake-server';
import { PathStore } from './path.svelte';

function line(id: number, locator?: string): LogLine {
  return {
    id,
    call: 'ZP5QXA',
    ownCall: 'CU9QYB',
    band: '20m',
    mode: 'FT8',
    start: '',
    seals: [],
    locator,
    more: {},
    version: 0,
  };
}

const WAY = { distanceKm: 7800, bearingDegrees: 212, longPathDegrees: 32, greyLine: false };

describe('PathStore', () => {
  let server: FakeServer;

  beforeEach(() => (server = new FakeServer()));
  afterEach(() => vi.unstubAllGlobals());

  it('asks for a way once, and has none without a locator', async () => {
    server.on('GET /api/path?from=HM49kq&to=GG14', WAY);
    const path = new PathStore();
    await path.show('HM49kq', line(1, 'GG14'));
    await path.show('HM49kq', line(1, 'GG14'));
    expect(server.asked).toHaveLength(1);
    expect(path.path?.bearingDegrees).toBe(212);
    expect(path.to?.id).toBe(1);
    await path.show('HM49kq', line(2));
    expect(path.path).toBeUndefined();
    await path.show(undefined, line(1, 'GG14'));
    expect(path.path).toBeUndefined();
  });

  it('keeps the sun it knows when the server is away', async () => {
    server.on('GET /api/sun', { at: '', latitudeDegrees: 20, longitudeDegrees: 10 });
    const path = new PathStore();
    const stop = path.watchSun();
    await vi.waitFor(() => expect(path.sun?.latitudeDegrees).toBe(20));
    stop();
  });
});
