import { cleanup, fireEvent, screen } from '@testing-library/svelte';
import { afterEach, beforeEach, vi } from 'vitest';
import { AppState } from '../frame/app.svelte';
import { FakeServer } from './fake-server';

/** What a test of components stands on. */
export interface Page {
  server: FakeServer;
  app: AppState;
}

/** Gives each test of a file a server and a page of its own, and clears away after it. */
export function onPage(begin: (fresh: Page) => void): void {
  beforeEach(() => {
    localStorage.clear();
    begin({ server: new FakeServer(), app: new AppState() });
  });
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });
}

export const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

export const type = (label: string | RegExp, value: string) =>
  fireEvent.input(screen.getByLabelText(label), { target: { value } });
