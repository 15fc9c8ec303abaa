import { Trophy } from 'carbon-icons-svelte';
import type { FeatureFactory } from '../../platform/page/feature';
import { Navigation } from '../../platform/page/navigation.svelte';
import { clock } from '../../platform/shared/clock.svelte';
import { RadioStore } from '../../sources/radio/radios.svelte';
import { PositionStore } from '../../station/position/positions.svelte';
import { OnAirStore } from '../onair/on-air.svelte';
import { OpenBookStore } from './book.svelte';
import { BoardStore } from './board/board.svelte';
import { HandInStore } from './handing-in/hand-in.svelte';
import { BookStore } from './books.svelte';
import ContestView from './ContestView.svelte';
import { DefinitionStore } from './definition/definitions.svelte';
import { TextStore } from './sending/texts-to-send.svelte';
import { runs } from './state';
import { TeamStore } from './team/team.svelte';
import { texts } from './texts';

export const contest: FeatureFactory = (stores) => {
  const navigation = stores.get(Navigation);
  const positions = stores.get(PositionStore);
  const radios = stores.get(RadioStore);
  const books = stores.add(new BookStore());
  stores.add(new DefinitionStore());
  stores.add(new BoardStore());
  stores.add(new HandInStore());
  const toSend = stores.add(new TextStore());
  const open = stores.add(
    new OpenBookStore(
      () => positions.here?.id,
      () => radios.chosen,
    ),
  );
  const team = stores.add(new TeamStore(open));
  const onAir = stores.get(OnAirStore);
  onAir.running = () => {
    const book = books.all?.find((one) => runs(one, clock.now));
    return book && { id: book.id, name: book.contest };
  };
  async function load() {
    // A Yokebar that was started again knows nobody.
    team.tell();
    await Promise.all([books.load(), open.load(), toSend.load()]);
    // Which contest runs, and what stations are worth in it, may be different.
    onAir.moved();
  }
  let dial = '';
  return {
    load,
    listen(live) {
      live.on('contest', () => void load());
      live.on('contest-contacts', () => {
        void open.load();
        onAir.moved();
      });
      live.on('team', () => team.load());
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
      {
        label: texts.writeTheRules,
        words: texts.definitionYamlEditor,
        run: () => navigation.go('contest', 'definitions'),
      },
    ],
    localKeys: [
      { where: texts.contestLine, keys: 'Enter', label: texts.logTheContact },
      { where: texts.contestLine, keys: 'Tab', label: texts.throughTheLikelyCallsEnter },
      { where: texts.contestLine, keys: 'Esc', label: texts.emptyTheLine },
      { where: texts.contestLine, keys: '↑', label: texts.bringBack },
      { where: texts.contestLine, keys: 'Alt+E', label: texts.correctTheLatest },
      { where: texts.contestLine, keys: ';', label: texts.aNote },
      { where: texts.contestLine, keys: '#27', label: texts.ownSerial },
      { where: texts.contestLine, keys: 'Ctrl+Enter', label: texts.logWithoutSending },
      { where: texts.contestLine, keys: 'Alt+W', label: texts.changeTheWay },
      { where: texts.contestLine, keys: 'Alt+S', label: texts.toTheStationWorthMost },
      { where: texts.contestLine, keys: 'Alt+R', label: texts.backToTheRunFrequency },
      { where: texts.contestLine, keys: 'Alt+P', label: texts.passTheStationOn },
      { where: texts.contestLine, keys: 'Alt+T', label: texts.takeAPassedStation },
      { where: texts.contestLine, keys: 'Alt+M', label: texts.writeToTheTeam },
      { where: texts.contestLine, keys: 'F1 … F12', label: texts.sendTheText },
      { where: texts.contestLine, keys: 'Alt+↑ / Alt+↓', label: texts.fasterOrSlower },
      { where: texts.contestLine, keys: 'Alt+C / Alt+N', label: texts.takeWhatWasReceived },
    ],
  };
};
