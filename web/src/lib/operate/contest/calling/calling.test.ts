import { describe, expect, it } from 'vitest';
import type { ContestContact, Spot } from '../../../platform/api/client';
import type { Memory } from '../../../platform/shared/memory';
import { LineSteps } from '../sending/line-steps.svelte';
import { Calling } from './calling.svelte';

function memory(): Memory {
  const kept = new Map<string, string>();
  return { getItem: (key) => kept.get(key) ?? null, setItem: (key, value) => void kept.set(key, value) };
}

/** A line at a radio; what happens to it, in order. */
class FakeLine {
  done: string[] = [];
  id: number | undefined = 3;
  radioHz: number | undefined = 21_025_000;
  sending = '';
  wipe = () => void this.done.push('wipe');
  type = (text: string) => void this.done.push(`type ${text}`);
  tuneTo = (text: string) => Promise.resolve(void this.done.push(`tune ${text}`));
  keyer = {
    line: this as FakeLine,
    get text() {
      return this.line.sending;
    },
    stop() {
      return Promise.resolve(void this.line.done.push('stop'));
    },
  };
}

describe('Calling', () => {
  it('goes back to where CQ was called, after a reload, too', async () => {
    const kept = memory();
    const line = new FakeLine();
    const steps = new LineSteps(kept);
    const calling = new Calling(line, steps, kept);
    steps.choose('RUN');
    calling.sent('CW');
    expect(calling.leftBehind).toBeUndefined();
    steps.choose('SEARCH');
    line.radioHz = 21_030_000;
    calling.sent('CW');
    expect(calling.leftBehind?.frequencyHz).toBe(21_025_000);
    const again = new Calling(line, steps, kept);
    await again.back();
    expect(line.done).toEqual(['wipe', 'tune 21025 CW']);
    expect(steps.way).toBe('RUN');
  });

  it('knows nothing of other books, and goes nowhere without a radio', async () => {
    const line = new FakeLine();
    const steps = new LineSteps(memory());
    const calling = new Calling(line, steps, memory());
    steps.choose('RUN');
    calling.sent('CW');
    line.radioHz = 14_025_000;
    line.id = 4;
    expect(calling.leftBehind).toBeUndefined();
    line.id = 3;
    line.radioHz = undefined;
    await calling.back();
    expect(line.done).toEqual([]);
  });

  it('stops sending before the radio moves, and answers by searching', async () => {
    const line = new FakeLine();
    const steps = new LineSteps(memory());
    const calling = new Calling(line, steps, memory());
    steps.choose('RUN');
    line.sending = 'CQ TEST CU9QYB';
    await calling.answer({ id: 1, call: 'DL4QOW' }, 0);
    expect(line.done).toEqual(['stop', 'wipe', 'type dl4qow ']);
    expect(steps.way).toBe('SEARCH');
    calling.sent('CW');
    steps.choose('LOG');
    await calling.answer({ id: 2, call: 'K4QOX' }, 0);
    expect(steps.way).toBe('LOG');
  });

  it('offers who was gone to last, and after some minutes first again', async () => {
    const calling = new Calling(new FakeLine(), new LineSteps(memory()), memory());
    const spots = [1, 2, 3].map((id) => ({ id, call: `DL${id}QAA` }) as Spot);
    const offered = (now: number) => calling.next(spots, [], now).map(({ id }) => id);
    const at = Date.parse('2026-12-01T12:00:00Z');
    expect(offered(at)).toEqual([1, 2, 3]);
    await calling.answer({ id: 1, call: 'DL1QAA' }, at);
    await calling.answer({ id: 2, call: 'DL2QAA' }, at + 60_000);
    expect(offered(at + 61_000)).toEqual([3, 1, 2]);
    expect(offered(at + 5 * 60_000)).toEqual([1, 3, 2]);
  });

  it('offers a station that was spotted on two frequencies of a band once', () => {
    const calling = new Calling(new FakeLine(), new LineSteps(memory()), memory());
    const spots = ['20m', '20m', '40m'].map((band, id) => ({ id, call: 'DL1QAA', band }) as Spot);
    expect(calling.next(spots, [], 0).map(({ id }) => id)).toEqual([0, 2]);
  });

  it('leaves out who was just worked on the band, until the server has said whether it counts again', () => {
    const calling = new Calling(new FakeLine(), new LineSteps(memory()), memory());
    const spots = ['20m', '40m'].map((band, id) => ({ id, call: 'DL1QAA', band }) as Spot);
    const at = Date.parse('2026-12-01T12:00:00Z');
    const contacts = [{ call: 'DL1QAA', band: '20m', start: '2026-12-01T12:00:00Z' } as ContestContact];
    const offered = (now: number) => calling.next(spots, contacts, now).map(({ band }) => band);
    expect(offered(at + 1_000)).toEqual(['40m']);
    expect(offered(at + 10_000)).toEqual(['20m', '40m']);
  });
});
