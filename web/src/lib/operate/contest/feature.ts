import { Trophy } from 'carbon-icons-svelte';
import type { FeatureFactory } from '../../platform/page/feature';
import { Navigation } from '../../platform/page/navigation.svelte';
import { RadioStore } from '../../sources/radio/radios.svelte';
import { PositionStore } from '../../station/position/positions.svelte';
import { OpenBookStore } from './book.svelte';
import { BookStore } from './books.svelte';
import ContestView from './ContestView.svelte';
import { texts } from './texts';

export const contest: FeatureFactory = (stores) => {
  const navigation = stores.get(Navigation);
  const positions = stores.get(PositionStore);
  const radios = stores.get(RadioStore);
  const books = stores.add(new BookStore());
  const open = stores.add(new OpenBookStore(() => positions.here?.id));
  let dial = '';
  return {
    load: () => Promise.all([books.load(), open.load()]),
    listen(live) {
      live.on('contest', () => void Promise.all([books.load(), open.load()]));
      live.on('radio', () => {
        const now = `${radios.chosen?.now?.frequencyHz} ${radios.chosen?.now?.mode}`;
        if (now !== dial) {
          dial = now;
          open.read();
        }
      });
    },
    views: [
      {
        name: 'contest',
        label: texts.contests,
        component: ContestView,
        rail: { key: 'c', icon: Trophy, position: 26 },
      },
    ],
    actions: [
      {
        label: texts.openAContestBook,
        words: texts.scoreMultiplierSerial,
        run: () => navigation.go('contest'),
      },
    ],
    localKeys: [
      { where: texts.contestLine, keys: 'Enter', label: texts.logTheContact },
      { where: texts.contestLine, keys: 'Esc', label: texts.emptyTheLine },
    ],
  };
};
