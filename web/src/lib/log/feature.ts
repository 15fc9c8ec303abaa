import { Catalog } from 'carbon-icons-svelte';
import type { FeatureFactory } from '../platform/page/feature';
import { Navigation } from '../platform/page/navigation.svelte';
import ChangeBar from './change/ChangeBar.svelte';
import { ChangeStore } from './change/changes.svelte';
import ChangesDrawer from './change/ChangesDrawer.svelte';
import ContactDrawer from './ContactDrawer.svelte';
import { LatestStore } from './latest.svelte';
import { LogDisplay } from './log-display.svelte';
import { LogStore } from './log.svelte';
import LogView from './LogView.svelte';
import { texts } from './texts';

export const log: FeatureFactory = (stores) => {
  const navigation = stores.get(Navigation);
  const latest = stores.add(new LatestStore());
  const contacts = stores.add(new LogStore());
  const changes = stores.add(new ChangeStore());
  const display = stores.add(new LogDisplay(contacts));
  return {
    load() {
      void latest.load();
      contacts.reload();
      void changes.load();
    },
    listen(live) {
      live.on('log', (news) => {
        latest.take(news);
        contacts.take(news);
      });
      live.on('change', (change) => changes.take(change));
    },
    views: [
      { name: 'log', label: texts.log, component: LogView, rail: { key: 'l', icon: Catalog, position: 30 } },
    ],
    drawers: [
      { of: 'contact', id: 'number', component: ContactDrawer },
      { of: 'changes', id: 'none', component: ChangesDrawer },
    ],
    addressParts: [
      {
        view: 'log',
        name: 'find',
        typed: true,
        read: () => contacts.search,
        write: (search) => contacts.find(search),
      },
    ],
    bars: [ChangeBar],
    actions: [
      {
        label: texts.searchTheLog,
        keys: '/',
        words: texts.findFilter,
        run() {
          navigation.go('log');
          display.searchAsked = true;
        },
      },
      {
        label: texts.exportTheLog,
        words: texts.adifAdiAdxCsvSave,
        run: () => navigation.go('log'),
      },
      { label: texts.statisticsOfTheLog, run: () => navigation.go('log', 'statistics') },
      {
        label: texts.undoTheLastChangeOf,
        also: 'Ctrl+Z',
        possible: () => changes.undoable !== undefined,
        run: () => changes.undo(changes.undoable?.id),
      },
      { label: texts.whatWasChangedLately, run: () => navigation.open({ of: 'changes' }) },
    ],
    localKeys: [
      { where: texts.log, keys: texts.pgupPgdnHomeEnd, label: texts.move },
      { where: texts.log, keys: 'Enter', label: texts.openTheContact },
      { where: texts.log, keys: 'e', label: texts.editInPlaceTabGoes },
      { where: texts.log, keys: texts.spaceShiftCtrlA, label: texts.chooseContacts },
      { where: texts.log, keys: 'a', label: texts.toTheActionsForWhat },
    ],
  };
};
