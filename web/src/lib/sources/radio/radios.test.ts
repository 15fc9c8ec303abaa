import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Radio } from '../../platform/api/client';
import { FakeServer } from '../../platform/shared/fake-server';
import { RadioStore, type RadioChoice } from './radios.svelte';
import { sampleRadio } from './sample-radio';

function radio(id: number, frequencyHz = 14_074_000): Radio {
  return sampleRadio({ id, now: { frequencyHz, vfo: 'A', split: false, transmitting: false } });
}

/** A position as the store knows it. */
function position(): RadioChoice & { radioId: number | undefined } {
  return {
    radioId: undefined,
    async choose(id) {
      this.radioId = id;
    },
  };
}

describe('RadioStore', () => {
  let server: FakeServer;

  beforeEach(() => (server = new FakeServer()));
  afterEach(() => vi.unstubAllGlobals());

  it('has the first radio in front until the position says another', async () => {
    server.on('GET /api/radios', [radio(1), radio(2)]);
    const here = position();
    const radios = new RadioStore(here);
    await radios.load();
    expect(radios.chosen?.id).toBe(1);
    await radios.next();
    expect(here.radioId).toBe(2);
    expect(radios.chosen?.id).toBe(2);
    await radios.next();
    expect(radios.chosen?.id).toBe(1);
  });

  it('falls back to the first when the chosen one was removed', async () => {
    const radios = new RadioStore(position());
    radios.takeAll([radio(1), radio(2)]);
    await radios.next();
    radios.takeAll([radio(1)]);
    expect(radios.chosen?.id).toBe(1);
    radios.takeAll([]);
    expect(radios.chosen).toBeUndefined();
    await radios.next();
    expect(radios.chosen).toBeUndefined();
  });

  it('takes what a radio reports and leaves the others', () => {
    const radios = new RadioStore(position());
    radios.takeAll([radio(1), radio(2)]);
    radios.take(radio(2, 7_010_000));
    expect(radios.all.map((r) => r.now?.frequencyHz)).toEqual([14_074_000, 7_010_000]);
  });

  it('tunes the radio in front, and says why when that was refused', async () => {
    server.on('POST /api/radios/1/tune', { detail: 'Radio 1 is not connected, so it was not tuned.' }, 422);
    const radios = new RadioStore(position());
    await radios.tune({ mode: 'CW' });
    expect(server.requests).toEqual([]);
    radios.takeAll([radio(1)]);
    await radios.tune({ frequencyHz: 7_010_000 });
    expect(radios.problem).toBe('Radio 1 is not connected, so it was not tuned.');
    server.on('POST /api/radios/1/tune', { sent: true });
    await radios.tune({ mode: 'CW' });
    expect(radios.problem).toBe('');
  });

  it('adds, changes and removes; a refusal reaches the form with its fields', async () => {
    const draft = { name: 'R', dialect: 'semicolon', address: 'x' };
    server.on(
      'POST /api/radios',
      { detail: 'no', fields: [{ field: 'address', sentence: 'No address.' }] },
      422,
    );
    const radios = new RadioStore(position());
    await expect(radios.save(undefined, draft)).rejects.toMatchObject({
      fields: new Map([['address', 'No address.']]),
    });
    server.on('PUT /api/radios/4', [radio(4)]).on('DELETE /api/radios/4', []);
    await radios.save(4, draft);
    expect(radios.all).toHaveLength(1);
    await radios.remove(4);
    expect(radios.all).toHaveLength(0);
  });
});
