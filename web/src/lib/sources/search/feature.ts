import type { FeatureFactory } from '../../platform/page/feature';
import { SearchStore } from './search.svelte';

export const search: FeatureFactory = (stores) => {
  const devices = stores.add(new SearchStore());
  return {
    listen(live) {
      live.on('search', (view) => devices.take(view));
    },
  };
};
