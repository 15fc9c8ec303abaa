import { describe, expect, it } from 'vitest';
import { PanelLayout } from './layout.svelte';
import { memory } from './test-book';

const shown = ({ main, second }: PanelLayout) => [main, second];

describe('the panels of a book', () => {
  it('are the contacts alone at first', () => {
    expect(shown(new PanelLayout(memory()))).toEqual(['contacts', undefined]);
  });

  it('are remembered, one or two', () => {
    const kept = memory();
    const layout = new PanelLayout(kept);
    layout.show('multipliers');
    layout.toggleSecond();
    layout.showBeside('team');
    expect(shown(new PanelLayout(kept))).toEqual(['multipliers', 'team']);
    layout.toggleSecond();
    expect(shown(new PanelLayout(kept))).toEqual(['multipliers', undefined]);
  });

  it('change their places rather than show one twice', () => {
    const layout = new PanelLayout(memory());
    layout.toggleSecond();
    expect(shown(layout)).toEqual(['contacts', 'progress']);
    layout.show('progress');
    expect(shown(layout)).toEqual(['progress', 'contacts']);
    layout.showBeside('progress');
    expect(shown(layout)).toEqual(['contacts', 'progress']);
  });

  it('begin anew when what was remembered is damaged or of another edition', () => {
    for (const value of [
      '{',
      '3',
      '{"main":"nothing","second":"progress"}',
      '{"main":"team","second":"team"}',
    ]) {
      const kept = memory();
      kept.setItem('yokebar-contest-panels', value);
      const { main, second } = new PanelLayout(kept);
      expect(main === second, value).toBe(false);
    }
  });
});
