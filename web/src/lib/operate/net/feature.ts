import { Collaborate } from 'carbon-icons-svelte';
import type { FeatureFactory } from '../../platform/page/feature';
import { Navigation } from '../../platform/page/navigation.svelte';
import { RadioStore } from '../../sources/radio/radios.svelte';
import { PositionStore } from '../../station/position/positions.svelte';
import { NetStore } from './nets.svelte';
import NetsView from './NetsView.svelte';
import { SheetStore } from './sheet.svelte';
import { texts } from './texts';

export const net: FeatureFactory = (stores) => {
  const navigation = stores.get(Navigation);
  const positions = stores.get(PositionStore);
  const radios = stores.get(RadioStore);
  const nets = stores.add(new NetStore(() => positions.here?.id));
  const sheet = stores.add(new SheetStore());
  let dial: number | undefined;
  return {
    load: () => Promise.all([nets.load(), sheet.load()]),
    listen(live) {
      live.on('net-sheets', (running) => {
        sheet.takeRunning(running);
        nets.takeRunning(running.map((one) => one.id));
      });
      live.on('radio', () => {
        const now = radios.chosen?.now?.frequencyHz;
        if (now !== dial) {
          dial = now;
          sheet.dialMoved();
        }
      });
      // Contacts of a closed session come and go with a change of the log.
      live.on('change', () => void sheet.loadEnded());
    },
    views: [
      {
        name: 'nets',
        label: texts.nets,
        component: NetsView,
        rail: { key: 'n', icon: Collaborate, position: 25 },
      },
    ],
    actions: [
      {
        label: texts.startOrResumeANet,
        words: texts.netControlCheckInRoundtable,
        run: () => navigation.go('nets'),
      },
    ],
    localKeys: [
      { where: texts.nets, keys: '1 – 9', label: texts.startOrResumeASession },
      { where: texts.netSheet, keys: 'Enter', label: texts.checkInWithoutACall },
      { where: texts.netSheet, keys: 'Tab', label: texts.throughTheLikelyStationsEnter },
      { where: texts.netSheet, keys: '.', label: texts.onTheEmptyLineNext },
      { where: texts.netSheet, keys: ',', label: texts.onTheEmptyLineSkip },
      { where: texts.netSheet, keys: '=', label: texts.onTheEmptyLineGive },
      { where: texts.netSheet, keys: '+', label: texts.onTheEmptyLineMove },
      { where: texts.netSheet, keys: '*', label: texts.onTheEmptyLineThe },
      { where: texts.netSheet, keys: '#', label: texts.onTheEmptyLineLog },
      { where: texts.netSheet, keys: '!', label: texts.onTheEmptyLineI },
      { where: texts.netSheet, keys: '↑ ↓', label: texts.chooseAStationEnterEdits },
    ],
  };
};
