import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Rotor } from '../../platform/api/client';
import { FakeServer } from '../../platform/shared/fake-server';
import { RotorStore } from './rotors.svelte';

const WINDROSE: Rotor = {
  id: 3,
  hookup: 'rotor-3',
  name: 'Windrose',
  address: '127.0.0.1:7404',
  stopDegrees: 180,
  travelDegrees: 360,
  mountOffsetDegrees: 0,
  toleranceDegrees: 3,
  deadZones: '',
  presets: [],
  headingDegrees: 10,
};

describe('RotorStore', () => {
  let server: FakeServer;

  beforeEach(() => (server = new FakeServer()));
  afterEach(() => vi.unstubAllGlobals());

  it('turns and stops the rotator there is, and does nothing without one', async () => {
    const rotors = new RotorStore();
    await rotors.point(90);
    await rotors.stop();
    expect(server.requests).toEqual([]);
    server
      .on('GET /api/rotors', [WINDROSE])
      .on('POST /api/rotors/3/point', [{ ...WINDROSE, targetDegrees: 90 }])
      .on('POST /api/rotors/3/stop', [WINDROSE]);
    await rotors.load();
    await rotors.point(90);
    expect(rotors.chosen?.targetDegrees).toBe(90);
    await rotors.stop();
    expect(rotors.chosen?.targetDegrees).toBeUndefined();
  });

  it('says why when it cannot turn, and forgets it when it can again', async () => {
    const rotors = new RotorStore();
    rotors.takeAll([WINDROSE]);
    server.on('POST /api/rotors/3/point', { detail: 'Windrose is not connected.' }, 422);
    await rotors.point(90);
    expect(rotors.problem).toBe('Windrose is not connected.');
    expect(rotors.chosen?.headingDegrees).toBe(10);
    server.on('POST /api/rotors/3/point', [WINDROSE]);
    await rotors.point(90);
    expect(rotors.problem).toBe('');
  });

  it('keeps what the event stream told when the server cannot be reached', async () => {
    const rotors = new RotorStore();
    rotors.takeAll([WINDROSE]);
    await rotors.load();
    expect(rotors.problem).toBe('Yokebar does not answer. Is it running?');
    expect(rotors.all).toHaveLength(1);
  });

  it('saves a new one and a changed one', async () => {
    const rotors = new RotorStore();
    server.on('POST /api/rotors', [WINDROSE]).on('PUT /api/rotors/3', [{ ...WINDROSE, name: 'Rose' }]);
    const draft = { name: 'Windrose', address: '127.0.0.1:7404' };
    await rotors.save(undefined, draft);
    expect(rotors.chosen?.name).toBe('Windrose');
    await rotors.save(3, draft);
    expect(rotors.chosen?.name).toBe('Rose');
  });
});
