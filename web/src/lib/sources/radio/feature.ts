import type { FeatureFactory } from '../../platform/page/feature';
import { Navigation } from '../../platform/page/navigation.svelte';
import { PositionStore } from '../../station/position/positions.svelte';
import { BandPlanStore } from './band-plan.svelte';
import { RadioStore } from './radios.svelte';

export const radio: FeatureFactory = (stores) => {
  const navigation = stores.get(Navigation);
  const radios = stores.add(new RadioStore(stores.get(PositionStore)));
  const bandPlan = stores.add(new BandPlanStore());
  return {
    load() {
      void radios.load();
      void bandPlan.load();
    },
    listen(live) {
      live.on('radio', (one) => radios.take(one));
      live.on('radios', (all) => radios.takeAll(all));
      live.on('station', () => void bandPlan.load());
    },
    actions: [
      { label: 'Next radio', keys: 'r', possible: () => radios.all.length > 1, run: () => radios.next() },
      {
        label: 'Connect a radio',
        words: 'rig cat serial transceiver set up add',
        run: () => navigation.go('hookups'),
      },
    ],
    localKeys: [{ where: 'Readout', keys: 'figures, ↑ ↓', label: 'Tune' }],
  };
};
