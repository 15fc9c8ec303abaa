import { beforeEach, expect, it } from 'vitest';
import type { DigitalProgram } from '../../platform/api/client';
import { FakeServer } from '../../platform/shared/fake-server';
import { DecodesStore, DigitalStore } from './digital.svelte';

let server: FakeServer;

beforeEach(() => {
  server = new FakeServer();
});

const program = (more: Partial<DigitalProgram>): DigitalProgram => ({
  id: 'link-a',
  name: 'Wavelet',
  live: true,
  transmitting: false,
  ...more,
});

it('knows whom a live program is working', () => {
  const store = new DigitalStore();
  store.take([
    program({ live: false, partner: 'OZ1QAB' }),
    program({ partner: 'ZP5QXA', partnerLocator: 'GG14' }),
  ]);
  expect(store.partner).toEqual({ call: 'ZP5QXA', locator: 'GG14' });
  store.take([program({})]);
  expect(store.partner).toBeUndefined();
});

it('reads what was heard, and tells why a program does not answer', async () => {
  const store = new DecodesStore('link-a');
  server
    .on('GET /api/digital/decodes?program=link-a&limit=14', {
      total: 1,
      nonsense: 0,
      decodes: [{ id: 'a 1' }],
    })
    .on('POST /api/digital/programs/link-a/answer', { detail: 'It has not been heard lately.' }, 422);
  await store.load();
  expect(store.decodes).toHaveLength(1);
  await store.answer('a 1');
  expect(store.problem).toBe('It has not been heard lately.');
  server.on('POST /api/digital/programs/link-a/stop', { sent: true });
  await store.stop();
  expect(store.problem).toBe('');
});
