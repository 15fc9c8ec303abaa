import type { FeatureFactory } from '../../platform/page/feature';
import { Navigation } from '../../platform/page/navigation.svelte';
import { DigitalStore } from './digital.svelte';
import { texts } from './texts';

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
        label: texts.connectADigitalProgram,
        words: texts.ft8DecodeLinkUdpDatagram,
        run: () => navigation.go('intake', 'sources'),
      },
    ],
  };
};
