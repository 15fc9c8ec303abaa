import { describe, expect, it } from 'vitest';
import { fitting, type Action } from './action';

const all: Action[] = ['Go to Log', 'Search the log', 'Next radio'].map((label) => ({
  label,
  run: () => undefined,
}));

describe('fitting', () => {
  it.each([
    ['', ['Go to Log', 'Search the log', 'Next radio']],
    ['log', ['Go to Log', 'Search the log']],
    ['LOG sea', ['Search the log']],
    ['nothing', []],
  ])('%s', (typed, labels) => expect(fitting(all, typed).map((a) => a.label)).toEqual(labels));

  it('leaves out what cannot be done now', () => {
    const beam: Action = { label: 'Beam', possible: () => false, run: () => undefined };
    expect(fitting([beam, ...all], '')).toEqual(all);
  });
});
