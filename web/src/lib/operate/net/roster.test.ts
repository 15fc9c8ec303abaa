import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { FakeServer } from '../../platform/shared/fake-server';
import { RosterStore } from './roster.svelte';

const ANA = { call: 'ZP5QXA', name: 'Ana', present: [true], times: 1 };
const LANTERN = {
  net: 'Lantern Net',
  sessions: [{ id: 7, startedAt: '2026-11-28T17:00:00Z' }],
  stations: [ANA],
};

describe('RosterStore', () => {
  let server: FakeServer;
  let roster: RosterStore;

  beforeEach(async () => {
    server = new FakeServer().on('GET /api/nets/3/roster', LANTERN);
    roster = new RosterStore(3);
    await roster.load();
  });
  afterEach(() => vi.unstubAllGlobals());

  it('shows who is on it after a station was added', async () => {
    const added = { call: 'CU2QYC', name: 'Rui', present: [false], times: 0 };
    server.on('POST /api/nets/3/roster', { ...LANTERN, stations: [ANA, added] });
    expect(await roster.save('cu2qyc', 'Rui')).toBe(true);
    expect(server.sent['POST /api/nets/3/roster']).toEqual({ call: 'cu2qyc', name: 'Rui' });
    expect(roster.view?.stations).toHaveLength(2);
  });

  it('keeps why a station was refused at its field, and the roster as it was', async () => {
    const fields = [{ field: 'call', sentence: '"qlz" is not a whole call.' }];
    server.on('POST /api/nets/3/roster', { detail: fields[0]?.sentence, fields }, 422);
    expect(await roster.save('qlz', '')).toBe(false);
    expect(roster.saving.fault('member', 'call')).toBe('"qlz" is not a whole call.');
    expect(roster.view?.stations).toEqual([ANA]);
  });

  it('takes a station off', async () => {
    server.on('DELETE /api/nets/3/roster?call=ZP5QXA', { ...LANTERN, stations: [] });
    expect(await roster.remove('ZP5QXA')).toBe(true);
    expect(roster.view?.stations).toEqual([]);
  });

  it('says why it cannot be read', async () => {
    server.on('GET /api/nets/3/roster', { detail: 'There is no net 3.' }, 404);
    await roster.load();
    expect(roster.problem).toBe('There is no net 3.');
  });
});
