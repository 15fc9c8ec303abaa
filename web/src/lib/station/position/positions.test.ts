import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { askFrom } from '../../platform/api/client';
import { FakeServer } from '../../platform/shared/fake-server';
import type { Memory } from '../../platform/shared/memory';
import { PositionStore } from './positions.svelte';

const DESK = { id: 1, name: 'Desk', radioId: 4 };
const TABLET = { id: 2, name: 'A tablet', radioId: 5 };

function memory(): Memory {
  const kept = new Map<string, string>();
  return { getItem: (key) => kept.get(key) ?? null, setItem: (key, value) => void kept.set(key, value) };
}

describe('PositionStore', () => {
  let server: FakeServer;

  beforeEach(() => (server = new FakeServer().on('GET /api/positions', [TABLET, DESK])));
  afterEach(() => vi.unstubAllGlobals());

  it('is at the first position until another is chosen, and remembers which', async () => {
    server.on('POST /api/positions/2/sit-down', [TABLET, DESK]);
    const kept = memory();
    const positions = new PositionStore(kept);
    expect(positions.here).toBeUndefined();
    await positions.load();
    expect(positions.here?.name).toBe('Desk');
    expect(positions.radioId).toBe(4);
    await positions.sitDown(2);
    expect(positions.here?.name).toBe('A tablet');
    const again = new PositionStore(kept);
    await again.load();
    expect(again.radioId).toBe(5);
  });

  it('goes back to the first when its own was removed', async () => {
    server.on('POST /api/positions/2/sit-down', [TABLET, DESK]).on('DELETE /api/positions/2', [DESK]);
    const positions = new PositionStore(memory());
    await positions.load();
    await positions.sitDown(2);
    expect(await positions.remove(2)).toBe(true);
    expect(positions.here?.id).toBe(1);
  });

  it('changes where we are and adds others; a refusal is kept with its sentence', async () => {
    server
      .on('PUT /api/positions/1', [{ ...DESK, radioId: 9 }])
      .on('POST /api/positions', { detail: 'There is a position Desk already.' }, 422);
    const positions = new PositionStore(memory());
    expect(await positions.change({ radioId: 9 })).toBe(false);
    await positions.load();
    expect(await positions.choose(9)).toBe(true);
    expect(positions.radioId).toBe(9);
    expect(await positions.save(undefined, { name: 'Desk' })).toBe(false);
    expect(positions.saving.fault('position-new')).toBe('There is a position Desk already.');
  });

  it('is named in every request once it is known', async () => {
    const positions = new PositionStore(memory());
    askFrom(() => positions.here?.id);
    await positions.load();
    await positions.load();
    expect(server.positions).toEqual([null, '1']);
    askFrom(() => undefined);
  });
});
