import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Radio } from '../../../platform/api/client';
import { FakeServer } from '../../../platform/shared/fake-server';
import type { Memory } from '../../../platform/shared/memory';
import { sampleRadio } from '../../../sources/radio/sample-radio';
import { Keyer } from './keyer.svelte';

const SPEED = 'POST /api/radios/1/keyer-speed';

describe('Keyer', () => {
  let server: FakeServer;
  let kept: Memory;
  const PETREL = sampleRadio({ now: { frequencyHz: 7_012_000, vfo: 'A', mode: 'CW', modeGroup: 'CW' } });
  let radio: Radio | undefined;
  let problem = '';

  const keyer = () =>
    new Keyer(
      () => radio,
      kept,
      (text) => (problem = text),
    );

  beforeEach(() => {
    const values = new Map<string, string>();
    kept = {
      getItem: (key) => values.get(key) ?? null,
      setItem: (key, value) => void values.set(key, value),
    };
    radio = PETREL;
    problem = '';
    server = new FakeServer().on(SPEED, { sent: true }).on('POST /api/radios/1/stop-text', { sent: true });
  });
  afterEach(() => vi.unstubAllGlobals());

  it('tells the radio its speed once before the first text, and remembers it', async () => {
    const first = keyer();
    await first.setSpeed(33.4);
    expect(server.sent[SPEED]).toEqual({ wordsPerMinute: 33 });
    const again = keyer();
    expect(again.speed).toBe(33);
    server.sent[SPEED] = undefined;
    await again.prepare();
    expect(server.sent[SPEED]).toEqual({ wordsPerMinute: 33 });
    server.sent[SPEED] = undefined;
    await again.prepare();
    expect(server.sent[SPEED]).toBeUndefined();
  });

  it('tells no speed to a radio with which a program sends, and says why a text was not sent', async () => {
    radio = sampleRadio({
      now: { frequencyHz: 7_042_000, vfo: 'A', mode: 'RTTY', modeGroup: 'DIGITAL' },
      textProblem: 'The connection to Sandpiper was lost while it sent.',
    });
    const program = keyer();
    await program.prepare();
    expect(server.sent[SPEED]).toBeUndefined();
    expect(program.failure).toBe('The connection to Sandpiper was lost while it sent.');
  });

  it('stays within what keyers can do', async () => {
    const one = keyer();
    await one.setSpeed(1);
    expect(one.speed).toBe(6);
    await one.setSpeed(90);
    expect(one.speed).toBe(48);
  });

  it('says what could not be done, and does nothing without a radio', async () => {
    server.on(SPEED, { detail: 'Petrel 100 refused 28 words a minute.' }, 422);
    await keyer().setSpeed(28);
    expect(problem).toBe('Petrel 100 refused 28 words a minute.');
    radio = undefined;
    problem = '';
    await keyer().stop();
    expect(problem).toBe('');
  });

  it('shows what the radio sends', () => {
    radio = { ...PETREL, sendingText: 'TU CU9QYB' };
    expect(keyer().text).toBe('TU CU9QYB');
    radio = PETREL;
    expect(keyer().text).toBe('');
  });
});
