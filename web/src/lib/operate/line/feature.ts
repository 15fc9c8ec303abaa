import type { FeatureFactory } from '../../platform/page/feature';
import { PositionStore } from '../../station/position/positions.svelte';
import { LineBarStore } from './line-bar.svelte';
import { LineStore } from './line.svelte';
import LineBar from './LineBar.svelte';
import { texts } from './texts';

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
      { label: texts.typeAContact, keys: 'c', words: texts.logEnterNewQsoEntry, run: () => bar.ask() },
      {
        label: texts.contactLineInFieldsOr,
        run() {
          bar.inFields = !bar.inFields;
        },
      },
    ],
    localKeys: [
      { where: texts.contactLine, keys: 'Enter', label: texts.logOrTuneWhenIt },
      { where: texts.contactLine, keys: 'Esc', label: texts.clear },
      {
        where: texts.contactLine,
        keys: 'Ctrl+Z',
        label: texts.onTheEmptyLineBring,
      },
      { where: texts.contactLine, keys: '↑ ↓', label: texts.aLineSetAsideThen },
      { where: texts.contactLine, keys: 'Ctrl+.', label: texts.theOtherMeaningOfA },
      { where: texts.contactLine, keys: texts.altYAltN, label: texts.answerSameContactYesNo },
      { where: texts.contactLine, keys: 'Tab', label: texts.throughTheLikelyCallsEnter },
    ],
  };
};
