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
import { texts } from './texts';

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
      heard.contestList.afresh();
    },
    listen(live) {
      live.on('air', () => {
        heard.moved();
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
        label: texts.onAir,
        component: OnAirView,
        rail: { key: 'a', icon: Satellite, position: 20 },
      },
    ],
    bars: [Announcer],
    actions: [
      {
        label: texts.theNextStationOnThe,
        keys: '.',
        words: texts.spotCluster,
        possible: inView,
        run: () => heard.step(1),
      },
      { label: texts.theStationBeforeAndThere, keys: ',', possible: inView, run: () => heard.step(-1) },
      { label: texts.hideTheStation, keys: 'x', possible: inView, run: () => heard.strike() },
      { label: texts.postASpot, words: texts.clusterAnnounce, run: () => navigation.go('on-air') },
      {
        label: texts.whatCountsAsNeeded,
        words: texts.goalsWantedNewOneAward,
        run: () => navigation.go('on-air', 'goals'),
      },
      {
        label: texts.whatIsAnnounced,
        words: texts.alertsSoundNotification,
        run: () => navigation.go('on-air', 'alerts'),
      },
      {
        label: texts.solarFiguresAndGreyLine,
        words: texts.sunPropagationFlux,
        run: () => navigation.go('on-air', 'sun'),
      },
      { label: texts.whoHearsUs, words: texts.spottedSkimmer, run: () => navigation.go('on-air', 'us') },
    ],
    localKeys: [
      { where: texts.onAir, keys: texts.pgupPgdnHomeEnd, label: texts.chooseAStation },
      { where: texts.onAir, keys: 'Enter', label: texts.goThereRadioContactLine },
      { where: texts.onAir, keys: 'Ctrl+Enter', label: texts.haveTheProgramAnswerADecode },
      { where: texts.onAir, keys: 'x', label: texts.hideTheStation },
      { where: texts.ladder, keys: '+ − ↑ ↓', label: texts.zoomAndMove },
    ],
  };
};
