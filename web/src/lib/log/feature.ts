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
      { name: 'log', label: 'Log', component: LogView, rail: { key: 'l', icon: Catalog, position: 30 } },
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
        label: 'Search the log',
        keys: '/',
        words: 'find filter',
        run() {
          navigation.go('log');
          display.searchAsked = true;
        },
      },
      {
        label: 'Export the log',
        words: 'adif adi adx csv save print download',
        run: () => navigation.go('log'),
      },
      { label: 'Statistics of the log', run: () => navigation.go('log', 'statistics') },
      {
        label: 'Undo the last change of the log',
        also: 'Ctrl+Z',
        possible: () => changes.undoable !== undefined,
        run: () => changes.undo(changes.undoable?.id),
      },
      { label: 'What was changed lately', run: () => navigation.open({ of: 'changes' }) },
    ],
    localKeys: [
      { where: 'Log', keys: '↑ ↓ PgUp PgDn Home End', label: 'Move' },
      { where: 'Log', keys: 'Enter', label: 'Open the contact' },
      { where: 'Log', keys: 'e', label: 'Edit in place; Tab goes on, Enter saves' },
      { where: 'Log', keys: 'Space, Shift+↑↓, Ctrl+A', label: 'Choose contacts' },
      { where: 'Log', keys: 'a', label: 'To the actions for what is chosen; Esc goes back' },
    ],
  };
};
