import { askFrom } from '../../platform/api/client';
import type { FeatureFactory } from '../../platform/page/feature';
import { Navigation } from '../../platform/page/navigation.svelte';
import PositionAsk from './PositionAsk.svelte';
import PositionDrawer from './PositionDrawer.svelte';
import { PositionStore } from './positions.svelte';
import { texts } from './texts';

export const position: FeatureFactory = (stores) => {
  const navigation = stores.get(Navigation);
  const positions = stores.add(new PositionStore());
  askFrom(() => positions.here?.id);
  return {
    load: () => positions.load(),
    listen(live) {
      live.on('positions', (all) => positions.takeAll(all));
    },
    drawers: [{ of: 'position', id: 'none', component: PositionDrawer }],
    notices: [PositionAsk],
    actions: [
      { label: texts.whoAndWhereIAm, keys: 'p', run: () => navigation.open({ of: 'position' }) },
      {
        label: texts.positions,
        words: texts.browserTabletSecondOperator,
        run: () => navigation.go('station', 'positions'),
      },
    ],
  };
};
