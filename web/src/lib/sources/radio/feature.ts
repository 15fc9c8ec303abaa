import type { FeatureFactory } from '../../platform/page/feature';
import { Navigation } from '../../platform/page/navigation.svelte';
import { PositionStore } from '../../station/position/positions.svelte';
import { BandPlanStore } from './band-plan.svelte';
import { RadioStore } from './radios.svelte';
import { texts } from './texts';

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
      { label: texts.nextRadio, keys: 'r', possible: () => radios.all.length > 1, run: () => radios.next() },
      {
        label: texts.connectARadio,
        words: texts.rigCatSerialTransceiverSet,
        run: () => navigation.go('hookups'),
      },
    ],
    localKeys: [{ where: texts.readout, keys: texts.figures, label: texts.tune }],
  };
};
