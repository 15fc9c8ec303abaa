import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { FakeServer } from '../shared/fake-server';
import { StationStore } from './station.svelte';

const EMPTY = { ready: false, operators: [], places: [] };

describe('StationStore', () => {
  let server: FakeServer;

  beforeEach(() => (server = new FakeServer()));
  afterEach(() => vi.unstubAllGlobals());

  it('shows what was saved and says which', async () => {
    server.on('PUT /api/station', { ...EMPTY, ownCall: 'CU9QYB' });
    const station = new StationStore();
    expect(await station.setOwnCall('cu9qyb')).toBe(true);
    expect(station.view?.ownCall).toBe('CU9QYB');
    expect(station.saved).toEqual({ key: 'ownCall' });
    expect(station.fault('ownCall', 'ownCall')).toBe('');
  });

  it('puts a refusal at its field and leaves the rest as it was', async () => {
    server.on(
      'POST /api/station/places',
      { detail: 'no', fields: [{ field: 'locator', sentence: '"x" is not a locator.' }] },
      422,
    );
    const station = new StationStore();
    const draft = { name: 'Home', locator: 'x', rig: '', antenna: '', powerW: null };
    expect(await station.savePlace(undefined, draft)).toBe(false);
    expect(station.fault('place-new', 'locator')).toBe('"x" is not a locator.');
    expect(station.fault('place-new', 'name')).toBe('');
    expect(station.fault('place-7', 'locator')).toBe('');
    expect(station.view).toBeUndefined();
  });

  it('changes what exists and adds what does not', async () => {
    server.on('PUT /api/station/operators/4', EMPTY).on('POST /api/station/operators', EMPTY);
    const station = new StationStore();
    await station.saveOperator(4, 'CU9QBT', 'Branca');
    await station.saveOperator(undefined, 'CU9QDM', 'Duarte');
    expect(server.asked).toEqual(['PUT /api/station/operators/4', 'POST /api/station/operators']);
  });
});
