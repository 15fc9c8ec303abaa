import type { FeatureFactory } from '../../platform/page/feature';
import { ClockCheckStore } from './clock-check.svelte';

export const clock: FeatureFactory = (stores) => {
  const check = stores.add(new ClockCheckStore());
  return {
    load: () => check.load(),
    listen(live) {
      live.on('clock', (view) => check.take(view));
    },
  };
};
