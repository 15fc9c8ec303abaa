// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { LogDisplay } from './lib/log/log-display.svelte';
import { LineStore } from './lib/operate/line/line.svelte';
import { OnAirStore } from './lib/operate/onair/on-air.svelte';
import { Problem } from './lib/platform/api/client';
import ErrorNotice from './lib/platform/frame/ErrorNotice.svelte';
import Palette from './lib/platform/frame/Palette.svelte';
import { fitting } from './lib/platform/page/action';
import { contextOf } from './lib/platform/page/stores';
import { FakeServer } from './lib/platform/shared/fake-server';
import { hookup, spot } from './lib/platform/shared/samples';
import { BeadStore } from './lib/sources/hub/beads.svelte';
import { HookupStore } from './lib/sources/hookup/hookups.svelte';
import { Page } from './page';

let page: Page;
let listeners: Map<string, (event: { data: string; lastEventId: string }) => void>;

const of = <T>(one: abstract new (...args: never[]) => T) => page.stores.get(one);

/** A message comes from the server. */
const message = (kind: string, content: unknown) =>
  listeners.get(kind)?.({ data: JSON.stringify(content), lastEventId: '' });

beforeEach(() => {
  localStorage.clear();
  location.hash = '';
  new FakeServer();
  page = new Page();
  listeners = new Map();
  vi.stubGlobal(
    'EventSource',
    class {
      addEventListener(kind: string, listener: (event: { data: string; lastEventId: string }) => void) {
        listeners.set(kind, listener);
      }
      close() {}
    },
  );
  HTMLDialogElement.prototype.showModal ??= function (this: HTMLDialogElement) {
    this.open = true;
  };
});

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('the page', () => {
  it('is where its address says, or at the log', () => {
    const { navigation } = page;
    location.hash = '#/services/cards';
    page.start();
    expect([navigation.view, navigation.page]).toEqual(['services', 'cards']);
    location.hash = '#/nowhere';
    dispatchEvent(new Event('hashchange'));
    expect([navigation.view, navigation.page]).toEqual(['log', '']);
    navigation.go('on-air', 'goals');
    expect(location.hash).toBe('#/on-air/goals');
  });

  it('remembers theme, columns and the filter of the air', () => {
    localStorage.setItem('yokebar-theme', 'red');
    localStorage.setItem('yokebar-log-columns', 'CALL,BAND');
    localStorage.setItem('yokebar-air-filter', JSON.stringify({ callingCq: true }));
    page = new Page();
    page.start();
    expect(page.theme.theme).toBe('red');
    expect(document.documentElement.dataset.theme).toBe('red');
    expect(of(LogDisplay).columns).toEqual(['CALL', 'BAND']);
    expect(of(OnAirStore).air.filter.callingCq).toBe(true);
    page.theme.next();
    expect(localStorage.getItem('yokebar-theme')).toBe('night');
    of(LogDisplay).show([]);
    expect(of(LogDisplay).columns.length).toBeGreaterThan(3);
  });

  it('opens one thing at the side at a time', () => {
    const { navigation } = page;
    navigation.showContact(5);
    expect(navigation.openContact).toBe(5);
    navigation.showHookup('feed-1');
    expect(navigation.openContact).toBeUndefined();
    expect(navigation.drawer).toEqual({ of: 'hookup', id: 'feed-1' });
    navigation.showContact(undefined);
    expect(navigation.drawer).toBeUndefined();
  });

  it('asks before it leaves what is typed at the side', () => {
    const { navigation } = page;
    navigation.showContact(5);
    navigation.unsaved = true;
    navigation.close();
    expect(navigation.openContact).toBe(5);
    navigation.stay();
    expect(navigation.leaving).toBeUndefined();
    navigation.open({ of: 'changes' });
    navigation.leave();
    expect(navigation.drawer).toEqual({ of: 'changes' });
  });

  it('has each view, drawer and key only once', () => {
    const once = (all: (string | undefined)[]) => {
      const named = all.filter((one) => one !== undefined);
      expect(named).toEqual([...new Set(named)]);
    };
    once(page.navigation.views.map((view) => view.name));
    once(page.navigation.drawers.map((drawer) => drawer.of));
    once(page.actions.map((action) => action.keys));
    once(page.actions.map((action) => action.label));
    const places = page.navigation.railViews.map((view) => view.rail.position);
    expect(places.length).toBeGreaterThan(6);
    expect(places).toEqual([...new Set(places)].sort((a, b) => a - b));
  });

  it('says which feature stands too early in the list', () => {
    expect(() => new Page([(stores) => ({ load: () => stores.get(HookupStore) })])).not.toThrow();
    const early = (stores: Page['stores']) => {
      stores.get(HookupStore);
      return {};
    };
    expect(() => new Page([early])).toThrow('HookupStore is not there');
  });
});

describe('on the air', () => {
  it('types the call of whom one goes to, but not when a program is to answer', async () => {
    const onAir = of(OnAirStore);
    onAir.air.spots = [spot()];
    const typed = vi.spyOn(of(LineStore), 'type').mockImplementation(() => undefined);
    const went = vi.spyOn(onAir.air, 'go').mockResolvedValue(undefined);
    page.navigation.view = 'on-air';
    await onAir.goTo(1);
    expect(typed).toHaveBeenCalledWith('zp5qxa ');
    expect(went).toHaveBeenLastCalledWith(1, false);
    await onAir.goTo(1, true);
    expect(typed).toHaveBeenCalledTimes(1);
    expect(went).toHaveBeenLastCalledWith(1, true);
  });

  it('goes on to the next of the list in view', async () => {
    const onAir = of(OnAirStore);
    page.navigation.view = 'desk';
    onAir.shortlist.spots = [spot(), spot({ id: 2, call: 'OZ1QAB' })];
    onAir.air.spots = [spot({ id: 9 })];
    vi.spyOn(of(LineStore), 'type').mockImplementation(() => undefined);
    const went = vi.spyOn(onAir.shortlist, 'go').mockResolvedValue(undefined);
    const struck = vi.spyOn(onAir.shortlist, 'strike').mockResolvedValue();
    await onAir.step(1);
    await onAir.step(1);
    expect(went.mock.calls.map(([id]) => id)).toEqual([1, 2]);
    await onAir.strike();
    expect(struck).toHaveBeenCalledWith(onAir.shortlist.selected);
  });
});

describe('the Yoke', () => {
  it('has no more beads than can be told apart', () => {
    page.start();
    const service = hookup({ lastMinute: 0 });
    of(HookupStore).take(service);
    for (let i = 1; i < 12; i++) {
      message('hookup', { ...service, lastMinute: i });
    }
    const beads = of(BeadStore);
    expect(beads.all.length).toBeLessThanOrEqual(6);
    expect(beads.all.length).toBeGreaterThan(0);
    beads.arrived(beads.all[0]?.id ?? 0);
    expect(beads.all.length).toBeLessThan(6);
  });
});

describe('what did not work', () => {
  const rejected = (reason: unknown) => {
    const event = new Event('unhandledrejection', { cancelable: true });
    Object.assign(event, { reason });
    dispatchEvent(event);
    return event;
  };

  it('is said where nobody else says it, and dismissed', async () => {
    render(ErrorNotice);
    expect(rejected(new Problem('All services are paused.')).defaultPrevented).toBe(true);
    expect((await screen.findByRole('alert')).textContent).toContain(
      'That did not work. All services are paused.',
    );
    await fireEvent.click(screen.getByRole('button', { name: 'Dismiss' }));
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('is left to the browser when it is a fault of the page', () => {
    render(ErrorNotice);
    expect(rejected(new TypeError('undefined is not a function')).defaultPrevented).toBe(false);
    expect(screen.queryByRole('alert')).toBeNull();
  });
});

describe('the palette', () => {
  const open = () => render(Palette, { props: { actions: page.actions }, context: contextOf(page.stores) });

  it('finds by words in any order and does it with Enter', async () => {
    const { navigation } = page;
    navigation.paletteOpen = true;
    const go = vi.spyOn(navigation, 'go').mockImplementation(() => undefined);
    open();
    const box = screen.getByRole('combobox');
    await fireEvent.input(box, { target: { value: 'log import' } });
    expect(screen.getAllByRole('option')).toHaveLength(1);
    await fireEvent.keyDown(box, { key: 'Enter' });
    expect(go).toHaveBeenCalledWith('intake', 'import');
    expect(navigation.paletteOpen).toBe(false);
  });

  it('goes round with the arrows, and says when nothing fits', async () => {
    open();
    const box = screen.getByRole('combobox');
    await fireEvent.input(box, { target: { value: 'go to' } });
    const last = screen.getAllByRole('option').length - 1;
    await fireEvent.keyDown(box, { key: 'ArrowUp' });
    expect(box.getAttribute('aria-activedescendant')).toBe(`action-${last}`);
    await fireEvent.keyDown(box, { key: 'ArrowDown' });
    expect(box.getAttribute('aria-activedescendant')).toBe('action-0');
    await fireEvent.input(box, { target: { value: 'brew coffee' } });
    expect(screen.getByText('Nothing of that name.')).toBeDefined();
  });

  it.each([
    ['spot', 'Post a spot'],
    ['help', 'Show the keys'],
    ['cluster', 'Connect a cluster node or skimmer feed'],
    ['export', 'Export the log'],
    ['backup', 'Back up and restore'],
    ['connect radio', 'Connect a radio'],
    ['repeater', 'Bands, channels and units'],
    ['adif', 'Import a log'],
    ['qsl', 'Paper cards and labels'],
    ['grid', 'Places'],
  ])('finds by an everyday word: %s', (typed, label) =>
    expect(fitting(page.actions, typed).map((action) => action.label)).toContain(label),
  );
});
