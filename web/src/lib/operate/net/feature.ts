import { Collaborate } from 'carbon-icons-svelte';
import type { FeatureFactory } from '../../platform/page/feature';
import { Navigation } from '../../platform/page/navigation.svelte';
import { RadioStore } from '../../sources/radio/radios.svelte';
import { PositionStore } from '../../station/position/positions.svelte';
import { NetStore } from './nets.svelte';
import NetsView from './NetsView.svelte';
import { SheetStore } from './sheet.svelte';

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
        label: 'Nets',
        component: NetsView,
        rail: { key: 'n', icon: Collaborate, position: 25 },
      },
    ],
    actions: [
      {
        label: 'Start or resume a net session',
        words: 'net control check-in roundtable',
        run: () => navigation.go('nets'),
      },
    ],
    localKeys: [
      { where: 'Nets', keys: '1 – 9', label: 'Start or resume a session of that net' },
      { where: 'Net sheet', keys: 'Enter', label: 'Check in; without a call, apply to the chosen station' },
      { where: 'Net sheet', keys: 'Tab', label: 'Through the likely stations; Enter takes one' },
      { where: 'Net sheet', keys: '.', label: 'On the empty line: next turn' },
      { where: 'Net sheet', keys: ',', label: 'On the empty line: skip' },
      { where: 'Net sheet', keys: '=', label: 'On the empty line: give the chosen station its turn' },
      { where: 'Net sheet', keys: '+', label: 'On the empty line: move the chosen station up' },
      { where: 'Net sheet', keys: '*', label: 'On the empty line: the chosen station was worked' },
      { where: 'Net sheet', keys: '#', label: 'On the empty line: log the chosen station now' },
      { where: 'Net sheet', keys: '!', label: 'On the empty line: I gave my call' },
      { where: 'Net sheet', keys: '↑ ↓', label: 'Choose a station; Enter edits it' },
    ],
  };
};
