// @vitest-environment jsdom
import { fireEvent, screen } from '@testing-library/svelte';
import { expect, it } from 'vitest';
import type { ContestBook } from '../../platform/api/client';
import { type TestPage, onPage } from '../../platform/shared/on-page';
import { OpenBookStore } from './book.svelte';
import { BookStore } from './books.svelte';
import ContestLine from './ContestLine.svelte';

let fresh: TestPage;

onPage((page) => (fresh = page));

const book = (from: string, until: string) =>
  ({
    id: 1,
    contest: 'Harbour Hours',
    from,
    until,
    exchange: ['serial'],
    radioteletype: false,
  }) as ContestBook;

const day = () => (screen.getByLabelText('Day (UTC)') as HTMLInputElement).value;

it('begins paper anew in another book, and goes on in the same', () => {
  const store = fresh.page.stores.get(OpenBookStore);
  store.work('PAPER', '2026-11-28T09:00:00Z');
  store.contacts = [{ start: '2026-11-28T10:00:00Z' } as never];
  store.paper.after('2026-11-28T10:00:00Z');
  const shown = fresh.render(ContestLine, {
    book: book('2025-11-29T09:00:00Z', '2025-11-30T09:00:00Z'),
  });
  expect(day()).toBe('2025-11-29');
  shown.unmount();
  store.paper.after('2025-11-30T02:00:00Z');
  fresh.render(ContestLine, { book: book('2025-11-29T09:00:00Z', '2025-11-30T09:00:00Z') });
  expect(day()).toBe('2025-11-30');
});

const LOOK = 'POST /api/onair/look';
const GO = 'POST /api/onair/spots/7/go';

const spot = {
  id: 7,
  call: 'ZP5QXA',
  frequencyHz: 21_022_000,
  wants: [],
  ears: [],
  score: 900,
  contest: { rise: 1_240, words: 'zones +1 · 5 points' },
};

const news = (spots: unknown[]) => ({ mark: '1', whole: true, spots, gone: [], onAir: 3, sentence: [] });

/** A contest that runs now, as the books say. */
function running(): ContestBook {
  const now = Date.now();
  const one = book(new Date(now - 3_600_000).toISOString(), new Date(now + 3_600_000).toISOString());
  fresh.page.stores.get(BookStore).all = [one];
  // The test before worked from paper, which a tab remembers.
  fresh.page.stores.get(OpenBookStore).work('LOG', one.from);
  return one;
}

it('goes to the station worth most with a key, and its call stands on the line', async () => {
  fresh.server.on(LOOK, news([spot])).on(GO, { call: 'ZP5QXA', sentence: 'Tuned.', good: true });
  fresh.render(ContestLine, { book: running() });
  const next = await screen.findByRole('button', { name: 'Go to ZP5QXA: zones +1 · 5 points' });
  expect(next.textContent).toContain('+1\u2009240');
  expect(fresh.server.sent[LOOK]).toMatchObject({ contestBook: 1 });
  const line = screen.getByLabelText('Contest line');
  await fireEvent.keyDown(line, { key: 's', altKey: true });
  await expect.poll(() => (line as HTMLInputElement).value).toBe('zp5qxa ');
  await expect.poll(() => fresh.server.requests).toContain(GO);
});

it('says when nobody counts, and ranks nothing for a contest that is over', async () => {
  fresh.server.on(LOOK, news([]));
  const shown = fresh.render(ContestLine, { book: running() });
  await screen.findByText(/^Nobody on the air counts now/);
  shown.unmount();
  fresh.render(ContestLine, { book: { ...book('2025-11-29T09:00:00Z', '2025-11-30T09:00:00Z'), id: 2 } });
  expect(screen.queryByRole('group', { name: 'Next stations' })).toBeNull();
});

it('says why the radio did not go to a station, and goes nowhere by a key that is held down', async () => {
  fresh.server.on(LOOK, news([spot])).on(GO, { detail: 'The radio does not answer.' }, 422);
  fresh.render(ContestLine, { book: running() });
  await screen.findByRole('button', { name: /^Go to ZP5QXA/ });
  const line = screen.getByLabelText('Contest line');
  await fireEvent.keyDown(line, { key: 's', altKey: true, repeat: true });
  expect(fresh.server.requests).not.toContain(GO);
  await fireEvent.keyDown(line, { key: 's', altKey: true });
  await screen.findByText('The radio does not answer.');
});

it('shows received text until the contest is over', () => {
  const rtty = { ...running(), radioteletype: true };
  const shown = fresh.render(ContestLine, { book: rtty });
  screen.getByText(/No decoder of radioteletype is set up/);
  shown.unmount();
  fresh.render(ContestLine, { book: { ...rtty, until: rtty.from } });
  expect(screen.queryByText(/No decoder of radioteletype/)).toBeNull();
});
