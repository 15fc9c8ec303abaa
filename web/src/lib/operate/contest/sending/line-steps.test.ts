import { describe, expect, it } from 'vitest';
import type { Memory } from '../../../platform/shared/memory';
import { LineSteps } from './line-steps.svelte';

function memory(): Memory {
  const kept = new Map<string, string>();
  return { getItem: (key) => kept.get(key) ?? null, setItem: (key, value) => void kept.set(key, value) };
}

describe('LineSteps', () => {
  it('says nothing of texts while contacts are only logged', () => {
    const steps = new LineSteps(memory());
    expect(steps.asked).toEqual({ key: steps.key });
    steps.choose('RUN');
    expect(steps.asked).toEqual({ key: steps.key, way: 'RUN', sent: [] });
  });

  it('keeps what was sent, and the key of the contact, when the page is loaded again', () => {
    const kept = memory();
    const steps = new LineSteps(kept);
    steps.choose('RUN');
    steps.add('EXCHANGE');
    steps.add('EXCHANGE');
    const again = new LineSteps(kept);
    expect(again.asked).toEqual({ key: steps.key, way: 'RUN', sent: ['EXCHANGE'] });
  });

  it('keeps the key, and with it the serial, for the next station when one did not come back', () => {
    const steps = new LineSteps(memory());
    const key = steps.key;
    steps.choose('RUN');
    steps.add('EXCHANGE');
    steps.forget();
    expect(steps.asked).toEqual({ key, way: 'RUN', sent: [] });
    steps.done();
    expect(steps.key).not.toBe(key);
  });
});
