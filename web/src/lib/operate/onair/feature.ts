import { Satellite } from 'carbon-icons-svelte';
import type { FeatureFactory } from '../../platform/page/feature';
import { Navigation } from '../../platform/page/navigation.svelte';
import { RadioStore } from '../../sources/radio/radios.svelte';
import { PositionStore } from '../../station/position/positions.svelte';
import { LineBarStore } from '../line/line-bar.svelte';
import { LineStore } from '../line/line.svelte';
import Announcer from './Announcer.svelte';
import { ChoicesStore } from './choices.svelte';
import { OnAirStore } from './on-air.svelte';
import OnAirView from './OnAirView.svelte';

export const onAir: FeatureFactory = (stores) => {
  const navigation = stores.get(Navigation);
  const positions = stores.get(PositionStore);
  const radios = stores.get(RadioStore);
  const here = () => positions.here?.id;
  const heard = new OnAirStore(here, navigation, stores.get(LineStore), stores.get(LineBarStore));
  stores.add(heard);
  stores.add(new ChoicesStore());

  const inView = () => navigation.view === 'desk' || navigation.view === 'on-air';
  let dial: number | undefined;
  return {
    load() {
      heard.air.afresh();
      heard.shortlist.afresh();
    },
    listen(live) {
      live.on('air', () => {
        heard.air.moved();
        heard.shortlist.moved();
      });
      live.on('alerts', (alerts) => heard.announce(alerts));
      live.on('radio', () => {
        const now = radios.chosen?.now;
        if (now && now.frequencyHz !== dial) {
          dial = now.frequencyHz;
          heard.air.dialAt(now.frequencyHz, now.modeGroup === 'CW' ? 'CW' : 'PHONE');
        }
      });
    },
    views: [
      {
        name: 'on-air',
        label: 'On air',
        component: OnAirView,
        rail: { key: 'a', icon: Satellite, position: 20 },
      },
    ],
    bars: [Announcer],
    actions: [
      {
        label: 'The next station on the air, and there',
        keys: '.',
        words: 'spot cluster',
        possible: inView,
        run: () => heard.step(1),
      },
      { label: 'The station before, and there', keys: ',', possible: inView, run: () => heard.step(-1) },
      { label: 'Hide the station', keys: 'x', possible: inView, run: () => heard.strike() },
      { label: 'Post a spot', words: 'cluster announce', run: () => navigation.go('on-air') },
      {
        label: 'What counts as needed',
        words: 'goals wanted new one award',
        run: () => navigation.go('on-air', 'goals'),
      },
      {
        label: 'What is announced',
        words: 'alerts sound notification',
        run: () => navigation.go('on-air', 'alerts'),
      },
      {
        label: 'Solar figures and grey line',
        words: 'sun propagation flux',
        run: () => navigation.go('on-air', 'sun'),
      },
      { label: 'Who hears us', words: 'spotted skimmer', run: () => navigation.go('on-air', 'us') },
    ],
    localKeys: [
      { where: 'On air', keys: '↑ ↓ PgUp PgDn Home End', label: 'Choose a station' },
      { where: 'On air', keys: 'Enter', label: 'Go there: radio, contact line, card' },
      { where: 'On air', keys: 'Ctrl+Enter', label: 'Have the program answer a decode (transmits)' },
      { where: 'On air', keys: 'x', label: 'Hide the station' },
      { where: 'Ladder', keys: '+ − ↑ ↓', label: 'Zoom and move' },
    ],
  };
};
