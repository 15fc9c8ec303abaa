import { Radio } from 'carbon-icons-svelte';
import type { FeatureFactory } from '../platform/page/feature';
import { Navigation } from '../platform/page/navigation.svelte';
import FirstSteps from './steps/FirstSteps.svelte';
import { FirstStepsOffer } from './steps/first-steps-offer';
import StationView from './StationView.svelte';
import { StationStore } from './profile/station.svelte';
import { texts } from './texts';

/** Own calls, operators and places, and the pages of the station view. */
export const station: FeatureFactory = (stores) => {
  const navigation = stores.get(Navigation);
  const own = stores.add(new StationStore());
  const firstSteps = stores.add(new FirstStepsOffer(navigation));
  return {
    load: () => own.load().then(() => firstSteps.welcome(own.view)),
    listen(live) {
      live.on('station', () => void own.load());
    },
    views: [
      {
        name: 'station',
        label: texts.station,
        component: StationView,
        rail: { key: 't', icon: Radio, position: 70 },
      },
      { name: 'first-steps', label: texts.firstSteps, component: FirstSteps },
    ],
    actions: [
      {
        label: texts.callsAndOperators,
        words: texts.callsignLicenceSpecialEvent,
        run: () => navigation.go('station', 'calls'),
      },
      {
        label: texts.places,
        words: texts.locatorGridPortableQthAntenna,
        run: () => navigation.go('station', 'places'),
      },
      {
        label: texts.bandsChannelsAndUnits,
        words: texts.repeaterKmMiles,
        run: () => navigation.go('station', 'bands'),
      },
      { label: texts.clocks, words: texts.timeUtcNtp, run: () => navigation.go('station', 'clocks') },
      {
        label: texts.callbook,
        words: texts.lookupNameAddress,
        run: () => navigation.go('station', 'callbook'),
      },
      {
        label: texts.backUpAndRestore,
        words: texts.backupCopySaveRecoverDisk,
        run: () => navigation.go('station', 'safety'),
      },
    ],
  };
};
