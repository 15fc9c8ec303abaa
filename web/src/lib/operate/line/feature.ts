import type { FeatureFactory } from '../../platform/page/feature';
import { PositionStore } from '../../station/position/positions.svelte';
import { LineBarStore } from './line-bar.svelte';
import { LineStore } from './line.svelte';
import LineBar from './LineBar.svelte';

export const line: FeatureFactory = (stores) => {
  const positions = stores.get(PositionStore);
  const typed = stores.add(new LineStore(() => positions.here?.id));
  const bar = stores.add(new LineBarStore());
  return {
    listen(live) {
      live.on('radio', () => typed.refresh());
    },
    foot: [LineBar],
    actions: [
      { label: 'Type a contact', keys: 'c', words: 'log enter new qso entry', run: () => bar.ask() },
      {
        label: 'Contact line in fields, or in one line',
        run() {
          bar.inFields = !bar.inFields;
        },
      },
    ],
    localKeys: [
      { where: 'Contact line', keys: 'Enter', label: 'Log, or tune when it is only a frequency or mode' },
      { where: 'Contact line', keys: 'Esc', label: 'Clear' },
      {
        where: 'Contact line',
        keys: 'Ctrl+Z',
        label: 'On the empty line: bring back, else take back the last contact',
      },
      { where: 'Contact line', keys: '↑ ↓', label: 'A line set aside, then lines logged before' },
      { where: 'Contact line', keys: 'Ctrl+.', label: 'The other meaning of a word in doubt' },
      { where: 'Contact line', keys: 'Alt+Y, Alt+N', label: 'Answer "same contact?": yes, no' },
      { where: 'Contact line', keys: 'Tab', label: 'Through the likely calls; Enter takes one' },
    ],
  };
};
