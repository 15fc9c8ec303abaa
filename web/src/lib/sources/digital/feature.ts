import type { FeatureFactory } from '../../platform/page/feature';
import { Navigation } from '../../platform/page/navigation.svelte';
import { DigitalStore } from './digital.svelte';

export const digital: FeatureFactory = (stores) => {
  const navigation = stores.get(Navigation);
  const programs = stores.add(new DigitalStore());
  return {
    load: () => programs.load(),
    listen(live) {
      live.on('programs', (all) => programs.take(all));
    },
    actions: [
      {
        label: 'Connect a digital program',
        words: 'ft8 decode link udp datagram set up add',
        run: () => navigation.go('intake', 'sources'),
      },
    ],
  };
};
