import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { FakeServer } from '../../platform/shared/fake-server';
import type { NetSheet } from '../../platform/api/client';
import type { Memory } from '../../platform/shared/memory';
import { SheetStore } from './sheet.svelte';

function memory(): Memory {
  const kept = new Map<string, string>();
  return { getItem: (key) => kept.get(key) ?? null, setItem: (key, value) => void kept.set(key, value) };
}

function sheet(more: object = {}, ...calls: string[]): NetSheet {
  const checkIns = calls.map((call, i) => ({ id: i + 1, heard: call, call, marks: [] }));
  return {
    id: 4,
    net: 'Roundtable',
    logs: true,
    round: 1,
    checkIns,
    missing: [],
    ...more,
  } as never;
}

const NOTHING = { stations: 0, marks: [], parts: [], problems: [] };

describe('SheetStore', () => {
  let server: FakeServer;
  let kept: Memory;
  let store: SheetStore;

  beforeEach(async () => {
    server = new FakeServer()
      .on('GET /api/net-sessions/4', sheet({}, 'CU2QYC', 'ZP5QXA'))
      .on('POST /api/net-sessions/4/read', NOTHING);
    kept = memory();
    store = new SheetStore(kept);
    await store.open(4);
  });
  afterEach(() => vi.unstubAllGlobals());

  it('sends a line off with a key of its own and is free for the next at once', async () => {
    server.on('POST /api/net-sessions/4/entries', {
      sheet: sheet({}, 'CU2QYC', 'ZP5QXA', 'OZ1QAB'),
      notices: ['Hm.'],
    });
    store.type('oz1qab');
    const sent = store.enter();
    expect(store.text).toBe('');
    await sent;
    expect(store.sheet?.checkIns).toHaveLength(3);
    expect(store.notices).toEqual(['Hm.']);
    const body = server.sent['POST /api/net-sessions/4/entries'] as { text: string; key: string };
    expect(body.text).toBe('oz1qab');
    expect(body.key).not.toBe('');
  });

  it('brings a refused line back, unless the next one is being typed', async () => {
    server.on('POST /api/net-sessions/4/entries', { detail: 'That cannot be.' }, 422);
    store.type('cu9!');
    await store.enter();
    expect(store.problem).toBe('That cannot be.');
    expect(store.text).toBe('cu9!');
    const sent = store.enter();
    store.type('zp5');
    await sent;
    expect(store.text).toBe('zp5');
    expect(store.lines.refused).toEqual([{ text: 'cu9!', sentence: 'That cannot be.' }]);
    store.lines.dismissRefused();
    expect(store.lines.refused).toEqual([]);
  });

  it('keeps lines that nobody answered, over a reload too, and sends them in order with the keys they had', async () => {
    store.type('cu2qyc');
    await store.enter();
    store.type('zp5qxa');
    await store.enter();
    expect(store.problem).toBe('Yokebar does not answer. Is it running?');
    const keys = store.lines.waiting.map((line) => line.body.key);
    server.on('POST /api/net-sessions/4/entries', { sheet: sheet({}, 'CU2QYC', 'ZP5QXA'), notices: [] });
    const again = new SheetStore(kept);
    await again.open(4);
    await vi.waitFor(() => expect(again.lines.waiting).toEqual([]));
    const last = server.sent['POST /api/net-sessions/4/entries'] as { text: string; key: string };
    expect(last).toMatchObject({ text: 'zp5qxa', key: keys[1] });
    expect(again.problem).toBe('');
  });

  it('keeps what is typed over a reload of the page', () => {
    store.type('cu2q');
    expect(new SheetStore(kept).text).toBe('cu2q');
  });

  it('puts a whole call in the place of its part', () => {
    store.type('zp5qxa qyc via qlz');
    store.take('QYC', 'CU2QYC');
    expect(store.text).toBe('zp5qxa cu2qyc via qlz ');
  });

  it('takes a regular into the line and asks for the cursor', () => {
    store.type('zp5qxa ');
    store.add('CU2QYC');
    expect(store.text).toBe('zp5qxa cu2qyc ');
    expect(store.focusAsked).toBe(true);
  });

  it('reads a sheet again when the radio has moved and rests', async () => {
    server.on('GET /api/net-sessions/4', sheet({ frequencyHz: 14_290_000 }, 'CU2QYC'));
    store.dialMoved();
    store.dialMoved();
    await vi.waitFor(() => expect(store.sheet?.frequencyHz).toBe(14_290_000), { timeout: 3000 });
  });

  it('moves the choice along the list and stays within it', () => {
    store.choose(1);
    expect(store.chosenId).toBe(1);
    store.choose(1);
    store.choose(1);
    expect(store.chosenId).toBe(2);
    store.choose(-1);
    expect(store.chosenId).toBe(1);
  });

  it('shows what other browsers do, and that one of them closed the session', async () => {
    store.takeRunning([sheet({ round: 2 }, 'CU2QYC')]);
    expect(store.sheet?.round).toBe(2);
    server.on('GET /api/net-sessions/4', sheet({ endedAt: '2026-11-29T19:00:00Z' }, 'CU2QYC'));
    store.takeRunning([]);
    await vi.waitFor(() => expect(store.sheet?.endedAt).toBeDefined());
  });

  it('gives turns to the chosen station, and the next one to nobody in particular', async () => {
    server.on('POST /api/net-sessions/4/actions', sheet({ turnId: 2 }, 'CU2QYC', 'ZP5QXA'));
    store.choose(1);
    await store.actOn('GIVE_TURN');
    expect(server.sent['POST /api/net-sessions/4/actions']).toEqual({ action: 'GIVE_TURN', checkInId: 1 });
    await store.actOn('NEXT_TURN');
    expect(server.sent['POST /api/net-sessions/4/actions']).toEqual({ action: 'NEXT_TURN' });
  });

  it('logs the chosen station, or the one whose turn it is', async () => {
    await store.logChosen();
    expect(store.problem).toBe('Choose the station to log first.');
    server.on('POST /api/net-sessions/4/check-ins/2/log', {
      sheet: sheet({ turnId: 1 }, 'CU2QYC', 'ZP5QXA'),
      notices: [],
    });
    store.chosenId = 2;
    await store.logChosen();
    expect(store.problem).toBe('');
    expect(store.sheet?.turnId).toBe(1);
    server.on('POST /api/net-sessions/4/check-ins/1/log', {
      sheet: sheet(),
      notices: ['It is in the log already.'],
    });
    store.chosenId = undefined;
    await store.logChosen();
    expect(store.notices).toEqual(['It is in the log already.']);
  });
});
