import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import type { Component, ComponentProps } from 'svelte';
import { afterEach, beforeEach, vi } from 'vitest';
import { Page } from '../../../page';
import { contextOf } from '../page/stores';
import { FakeServer } from './fake-server';

/** What a test of components stands on. */
export interface TestPage {
  server: FakeServer;
  page: Page;
  /** Renders a component alone, with the page's stores. */
  render: Show;
}

// The props of a component are checked against it; which component it is does not matter here.
type AnyComponent = Component<any, any, any>; // eslint-disable-line @typescript-eslint/no-explicit-any

export type Show = <C extends AnyComponent>(
  component: C,
  props?: ComponentProps<C>,
) => ReturnType<typeof render>;

/** Gives each test of a file a server and a page of its own, and clears away after it. */
export function onPage(begin: (fresh: TestPage) => void): void {
  beforeEach(() => {
    localStorage.clear();
    const server = new FakeServer();
    const page = new Page();
    const show: Show = (component, props) =>
      render(component as AnyComponent, { props: props ?? {}, context: contextOf(page.stores) });
    begin({ server, page, render: show });
  });
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });
}

export const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

export const type = (label: string | RegExp, value: string) =>
  fireEvent.input(screen.getByLabelText(label), { target: { value } });
