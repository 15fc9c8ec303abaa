import type { FeatureFactory } from '../../platform/page/feature';
import { Navigation } from '../../platform/page/navigation.svelte';
import { FeedStore } from './feeds.svelte';

export const feed: FeatureFactory = (stores) => {
  const navigation = stores.get(Navigation);
  const feeds = stores.add(new FeedStore());
  return {
    load: () => feeds.load(),
    listen(live) {
      live.on('hookup', (hookup) => {
        if (hookup.kind === 'FEED' && !feeds.all.some((one) => one.hookup === hookup.id)) {
          void feeds.load();
        }
      });
    },
    actions: [
      {
        label: 'Connect a cluster node or skimmer feed',
        words: 'spots telnet feed set up add',
        run: () => navigation.go('hookups'),
      },
    ],
  };
};
