// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Problem } from '../api/client';
import { FakeServer } from '../shared/fake-server';
import { hookup, spot } from '../shared/samples';
import { AppState } from './app.svelte';
import ErrorNotice from './ErrorNotice.svelte';
import Palette from './Palette.svelte';
import Plate from './Plate.svelte';

let app: AppState;
let listeners: Map<string, (event: { data: string; lastEventId: string }) => void>;

/** News come from the server. */
const news = (kind: string, content: unknown) =>
  listeners.get(kind)?.({ data: JSON.stringify(content), lastEventId: '' });

beforeEach(() => {
  localStorage.clear();
  location.hash = '';
  new FakeServer();
  app = new AppState();
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
    location.hash = '#/services/cards';
    app.start();
    expect([app.view, app.page]).toEqual(['services', 'cards']);
    location.hash = '#/nowhere';
    dispatchEvent(new Event('hashchange'));
    expect([app.view, app.page]).toEqual(['log', '']);
    app.go('on-air', 'goals');
    expect(location.hash).toBe('#/on-air/goals');
  });

  it('remembers theme, columns and the filter of the air', () => {
    localStorage.setItem('yokebar-theme', 'red');
    localStorage.setItem('yokebar-log-columns', 'CALL,BAND');
    localStorage.setItem('yokebar-air-filter', JSON.stringify({ callingCq: true }));
    app.start();
    expect(app.theme).toBe('red');
    expect(document.documentElement.dataset.theme).toBe('red');
    expect(app.logColumns).toEqual(['CALL', 'BAND']);
    expect(app.air.filter.callingCq).toBe(true);
    app.nextTheme();
    expect(localStorage.getItem('yokebar-theme')).toBe('night');
    app.showColumns([]);
    expect(app.logColumns.length).toBeGreaterThan(3);
  });

  it('opens one thing at the side at a time', () => {
    app.showContact(5);
    expect(app.openContact).toBe(5);
    app.showHookup('feed-1');
    expect(app.openContact).toBeUndefined();
    expect(app.drawer).toEqual({ of: 'hookup', id: 'feed-1' });
    app.showContact(undefined);
    expect(app.drawer).toBeUndefined();
  });

  it('types the call of whom one goes to, but not when a program is to answer', async () => {
    app.air.spots = [spot()];
    const typed = vi.spyOn(app.line, 'type').mockImplementation(() => undefined);
    const went = vi.spyOn(app.air, 'go').mockResolvedValue(undefined);
    app.view = 'on-air';
    await app.goToSpot(1);
    expect(typed).toHaveBeenCalledWith('zp5qxa ');
    expect(went).toHaveBeenLastCalledWith(1, false);
    await app.goToSpot(1, true);
    expect(typed).toHaveBeenCalledTimes(1);
    expect(went).toHaveBeenLastCalledWith(1, true);
  });

  it('goes on to the next of the list in view', async () => {
    app.view = 'desk';
    app.shortlist.spots = [spot(), spot({ id: 2, call: 'OZ1QAB' })];
    app.air.spots = [spot({ id: 9 })];
    vi.spyOn(app.line, 'type').mockImplementation(() => undefined);
    const went = vi.spyOn(app.shortlist, 'go').mockResolvedValue(undefined);
    const struck = vi.spyOn(app.shortlist, 'strike').mockResolvedValue();
    await app.stepSpot(1);
    await app.stepSpot(1);
    expect(went.mock.calls.map(([id]) => id)).toEqual([1, 2]);
    await app.strikeSpot();
    expect(struck).toHaveBeenCalledWith(app.shortlist.selected);
  });

  it('has no more beads on the Yoke than can be told apart', () => {
    app.start();
    const service = hookup({ lastMinute: 0 });
    app.hookups.all = [service];
    for (let i = 1; i < 12; i++) {
      news('hookup', { ...service, lastMinute: i });
    }
    expect(app.beads.length).toBeLessThanOrEqual(6);
    expect(app.beads.length).toBeGreaterThan(0);
    app.beadArrived(app.beads[0]?.id ?? 0);
    expect(app.beads.length).toBeLessThan(6);
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
    expect(rejected(new TypeError('undefined is no function')).defaultPrevented).toBe(false);
    expect(screen.queryByRole('alert')).toBeNull();
  });
});

describe('the palette', () => {
  it('finds by words in any order and does it with Enter', async () => {
    app.paletteOpen = true;
    const go = vi.spyOn(app, 'go').mockImplementation(() => undefined);
    render(Palette, { app });
    const box = screen.getByRole('combobox');
    await fireEvent.input(box, { target: { value: 'log import' } });
    expect(screen.getAllByRole('option')).toHaveLength(1);
    await fireEvent.keyDown(box, { key: 'Enter' });
    expect(go).toHaveBeenCalledWith('intake', 'import');
    expect(app.paletteOpen).toBe(false);
  });

  it('goes round with the arrows, and says when nothing fits', async () => {
    render(Palette, { app });
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
});

describe('a plate on the Yoke', () => {
  it('says in a word what is wrong, and opens its drawer', async () => {
    const onopen = vi.fn();
    render(Plate, { hookup: hookup({ state: 'TROUBLE', brief: 'cannot be reached' }), onopen });
    expect(screen.getByText('cannot be reached')).toBeDefined();
    await fireEvent.click(screen.getByRole('button'));
    expect(onopen).toHaveBeenCalled();
  });
});
