import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { FakeServer } from '../../platform/shared/fake-server';
import { distance, utcDate } from '../../platform/shared/format';
import { preferred } from '../../platform/shared/preferred.svelte';
import { StationStore } from './station.svelte';

const EMPTY = { ready: false, calls: [], operators: [], places: [], licences: [], preferences: {} };

describe('StationStore', () => {
  let server: FakeServer;

  beforeEach(() => (server = new FakeServer()));
  afterEach(() => {
    vi.unstubAllGlobals();
    preferred.take(undefined);
  });

  it('shows what was saved and says which', async () => {
    server.on('PUT /api/station', { ...EMPTY, ownCall: 'CU9QYB' });
    const station = new StationStore();
    expect(await station.setOwnCall('cu9qyb')).toBe(true);
    expect(station.view?.ownCall).toBe('CU9QYB');
    expect(station.saving.saved('ownCall')).toBe(true);
    expect(station.saving.saved('call-1')).toBe(false);
    expect(station.saving.fault('ownCall', 'ownCall')).toBe('');
  });

  it('puts a refusal at its field and leaves the rest as it was', async () => {
    server.on(
      'POST /api/station/places',
      { detail: 'no', fields: [{ field: 'locator', sentence: '"x" is not a locator.' }] },
      422,
    );
    const station = new StationStore();
    expect(await station.savePlace(undefined, { name: 'Home', locator: 'x' })).toBe(false);
    expect(station.saving.fault('place-new', 'locator')).toBe('"x" is not a locator.');
    expect(station.saving.fault('place-new', 'name')).toBe('');
    expect(station.saving.fault('place-new')).toBe('no');
    expect(station.saving.fault('place-7', 'locator')).toBe('');
    expect(station.view).toBeUndefined();
  });

  it('changes what exists and adds what does not', async () => {
    server
      .on('PUT /api/station/operators/4', EMPTY)
      .on('POST /api/station/operators', EMPTY)
      .on('POST /api/station/calls', EMPTY)
      .on('PUT /api/station/calls/2', EMPTY)
      .on('DELETE /api/station/calls/2', EMPTY);
    const station = new StationStore();
    await station.saveOperator(4, { callSign: 'CU9QBT', name: 'Branca', licence: 'cept' });
    await station.saveOperator(undefined, { callSign: 'CU9QDM', name: 'Duarte', licence: '' });
    const call = { callSign: 'CU9QLZ', validFrom: '', validUntil: '', note: '' };
    await station.saveCall(undefined, call);
    await station.saveCall(2, call);
    await station.removeCall(2);
    expect(server.requests).toEqual([
      'PUT /api/station/operators/4',
      'POST /api/station/operators',
      'POST /api/station/calls',
      'PUT /api/station/calls/2',
      'DELETE /api/station/calls/2',
    ]);
  });

  it('has dates and distances written as the station likes them', async () => {
    server.on('PUT /api/station/preferences', {
      ...EMPTY,
      preferences: { miles: true, dateForm: 'MONTH_NAMED', secondClock: 'Atlantic/Azores' },
    });
    const station = new StationStore();
    expect(utcDate('2026-05-01T14:00:00Z')).toBe('2026-05-01');
    expect(distance(7832)).toBe('7\u2009832 km');
    await station.prefer({ miles: true });
    expect(utcDate('2026-05-01T14:00:00Z')).toBe('01 May 2026');
    expect(distance(7832)).toBe('4\u2009867 mi');
    expect(preferred.secondClock).toBe('Atlantic/Azores');
  });

  it('says when the station cannot be read', async () => {
    const station = new StationStore();
    await station.load();
    expect(station.problem).toBe('Yokebar does not answer. Is it running?');
  });
});
