import type { FeatureFactory } from '../../platform/page/feature';
import { Navigation } from '../../platform/page/navigation.svelte';
import { FeedStore } from './feeds.svelte';
import { texts } from './texts';

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
        label: texts.connectAClusterNodeOr,
        words: texts.spotsTelnetFeedSetUp,
        run: () => navigation.go('hookups'),
      },
    ],
  };
};
