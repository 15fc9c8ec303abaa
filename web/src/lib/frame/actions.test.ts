import { describe, expect, it } from 'vitest';
import { actions, fitting, type Action } from './actions';
import { AppState } from './app.svelte';

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

  it.each([
    ['spot', 'Post a spot'],
    ['help', 'Show the keys'],
    ['cluster', 'Connect a cluster node or skimmer feed'],
    ['export', 'Export the log'],
    ['backup', 'Back up and restore'],
    ['connect radio', 'Connect a radio'],
    ['repeater', 'Bands, channels and units'],
    ['adif', 'Import a log'],
    ['qsl', 'Paper cards and labels'],
    ['grid', 'Places'],
  ])('finds by an everyday word: %s', (typed, label) =>
    expect(fitting(actions(new AppState()), typed).map((a) => a.label)).toContain(label),
  );

  it('leaves out what cannot be done now', () => {
    const beam: Action = { label: 'Beam', possible: () => false, run: () => undefined };
    expect(fitting([beam, ...all], '')).toEqual(all);
  });
});
