import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { PositionStore } from '../position/positions.svelte';
import { RadioStore } from '../../sources/radio/radios.svelte';
import { RotorStore } from '../../sources/rotor/rotors.svelte';
import { SearchStore } from '../../sources/search/search.svelte';
import { FakeServer } from '../../platform/shared/fake-server';
import { StationStore } from '../profile/station.svelte';
import { FirstStepsWay } from './steps.svelte';

const STATION = {
  ownCall: 'CU9QYB',
  ready: false,
  calls: [],
  operators: [{ id: 3, callSign: 'CU9QYB' }],
  places: [{ id: 7, name: 'Home' }],
  licences: [],
  preferences: {},
};
const DESK = { id: 1, name: 'Desk' };
const RADIO = {
  kind: 'RADIO',
  address: '127.0.0.1:7402',
  dialect: 'semicolon',
  bus: 0,
  sentence: '',
} as const;

function stores() {
  const positions = new PositionStore({ getItem: () => null, setItem: () => {} });
  return {
    station: new StationStore(),
    positions,
    radios: new RadioStore(positions),
    rotors: new RotorStore(),
    search: new SearchStore(),
  };
}

describe('the first steps', () => {
  let server: FakeServer;
  let app: ReturnType<typeof stores>;
  let way: FirstStepsWay;

  beforeEach(() => {
    server = new FakeServer()
      .on('PUT /api/station', STATION)
      .on('PUT /api/station/operators/3', STATION)
      .on('POST /api/station/operators', STATION)
      .on('PUT /api/station/places/7', STATION)
      .on('PUT /api/positions/1', [DESK])
      .on('POST /api/device-search', { running: true, tried: 0, of: 0, port: 0, ports: 3, findings: [] });
    app = stores();
    app.positions.takeAll([DESK]);
    way = new FirstStepsWay(app);
  });

  afterEach(() => vi.unstubAllGlobals());

  it('goes from the call over the place to the search', async () => {
    await way.nameCall('cu9qyb', 'Branca');
    expect(way.step).toBe('place');
    await way.addPlace('Home', 'HM49');
    expect(way.problem).toBe('');
    expect(way.step).toBe('radio');
    expect(way.number).toBe(3);
    await vi.waitFor(() => expect(app.search.view.running).toBe(true));
  });

  it('stays where something is wrong and says what', async () => {
    server.on('PUT /api/station', { detail: '"!" cannot be a call.' }, 422);
    await way.nameCall('!', '');
    expect(way.step).toBe('call');
    expect(way.problem).toBe('"!" cannot be a call.');
    way.next();
    expect(way.problem).toBe('');
    expect(way.step).toBe('place');
  });

  it('adds what was found, or leaves it out', async () => {
    server.on('POST /api/radios', [{ id: 5, name: 'Radio', hookup: 'radio-5' }]);
    way.step = 'radio';
    await way.addRadio(RADIO, 'Radio');
    expect(way.step).toBe('rotator');
    await way.addRotor({ ...RADIO, kind: 'ROTATOR' }, 'Rotator');
    expect(way.step).toBe('rotator');
    expect(way.problem).toContain('does not answer');
    way.next();
    expect(way.step).toBe('done');
    way.next();
    expect(way.step).toBe('done');
  });
});
