// @vitest-environment jsdom
import { screen } from '@testing-library/svelte';
import { expect, it } from 'vitest';
import type { ContestBook } from '../../platform/api/client';
import { type TestPage, onPage } from '../../platform/shared/on-page';
import { OpenBookStore } from './book.svelte';
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
