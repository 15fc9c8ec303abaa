import { Radio } from 'carbon-icons-svelte';
import type { FeatureFactory } from '../platform/page/feature';
import { Navigation } from '../platform/page/navigation.svelte';
import FirstSteps from './steps/FirstSteps.svelte';
import { FirstStepsOffer } from './steps/first-steps-offer';
import StationView from './StationView.svelte';
import { StationStore } from './profile/station.svelte';

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
        label: 'Station',
        component: StationView,
        rail: { key: 't', icon: Radio, position: 70 },
      },
      { name: 'first-steps', label: 'First steps', component: FirstSteps },
    ],
    actions: [
      {
        label: 'Calls and operators',
        words: 'callsign licence special event',
        run: () => navigation.go('station', 'calls'),
      },
      {
        label: 'Places',
        words: 'locator grid portable qth antenna',
        run: () => navigation.go('station', 'places'),
      },
      {
        label: 'Bands, channels and units',
        words: 'repeater km miles',
        run: () => navigation.go('station', 'bands'),
      },
      { label: 'Clocks', words: 'time utc ntp', run: () => navigation.go('station', 'clocks') },
      { label: 'Callbook', words: 'lookup name address', run: () => navigation.go('station', 'callbook') },
      {
        label: 'Back up and restore',
        words: 'backup copy save recover disk',
        run: () => navigation.go('station', 'safety'),
      },
    ],
  };
};
