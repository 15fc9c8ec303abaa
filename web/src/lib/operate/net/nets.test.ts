import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { FakeServer } from '../../platform/shared/fake-server';
import { NetStore } from './nets.svelte';

const LANTERN = {
  id: 1,
  name: 'Lantern Net',
  sessions: [{ id: 7, startedAt: '2026-11-28T17:00:00Z', checkIns: 3 }],
};

describe('NetStore', () => {
  let server: FakeServer;
  let nets: NetStore;

  beforeEach(async () => {
    server = new FakeServer().on('GET /api/nets', [LANTERN]);
    nets = new NetStore(() => 2);
    await nets.load();
  });
  afterEach(() => vi.unstubAllGlobals());

  it('starts a session at the position of this browser', async () => {
    server.on('POST /api/nets/1/sessions?positionId=2', { id: 8 });
    expect(await nets.start(1)).toBe(8);
  });

  it('reads the list again only when other sessions run than it shows', async () => {
    const before = server.requests.length;
    nets.takeRunning([7]);
    expect(server.requests).toHaveLength(before);
    nets.takeRunning([7, 8]);
    await vi.waitFor(() => expect(server.requests).toHaveLength(before + 1));
    nets.takeRunning([]);
    await vi.waitFor(() => expect(server.requests).toHaveLength(before + 2));
  });

  it('keeps why a net was refused at its field', async () => {
    const fields = [{ field: 'name', sentence: 'There is a net called Lantern Net already.' }];
    server.on('POST /api/nets', { detail: fields[0]?.sentence, fields }, 422);
    expect(await nets.save(undefined, {} as never)).toBe(false);
    expect(nets.saving.fault('net-new', 'name')).toBe('There is a net called Lantern Net already.');
  });

  it('closes the words once they are stored, and keeps them open with the reason when they are refused', async () => {
    const words = { traffic: 'traffic', early: 'early', listening: 'listening' };
    server.on('GET /api/nets/words', words);
    await nets.loadWords();
    const fields = [{ field: 'early', sentence: '"via" means something else on the line.' }];
    server.on('PUT /api/nets/words', { detail: fields[0]?.sentence, fields }, 422);
    expect(await nets.saveWords({ ...words, early: 'via' })).toBe(false);
    expect(nets.saving.fault('words', 'early')).toBe('"via" means something else on the line.');
    expect(nets.words).toEqual(words);
    server.on('PUT /api/nets/words', { ...words, early: 'cedo' });
    expect(await nets.saveWords({ ...words, early: 'cedo' })).toBe(true);
    expect(nets.words).toBeUndefined();
  });
});
