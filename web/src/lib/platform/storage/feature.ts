import type { FeatureFactory } from '../page/feature';
import { StorageStore } from './storage.svelte';
import StorageNotice from './StorageNotice.svelte';

export const storage: FeatureFactory = (stores) => {
  const disk = stores.add(new StorageStore());
  return {
    load: () => disk.load(),
    listen(live) {
      live.on('storage', (state) => disk.take(state));
    },
    notices: [StorageNotice],
  };
};
