import type { ContestBook } from '../../platform/api/client';
import { utcMoment } from '../../platform/shared/format';
import { texts } from './texts';

/** @param now ms since 1970 */
export const runs = (book: ContestBook, now: number): boolean =>
  now >= Date.parse(book.from) && now < Date.parse(book.until);

/**
 * Whether the contest of a book runs, in words.
 *
 * @param now ms since 1970
 */
export function bookState(book: ContestBook, now: number): string {
  if (now < Date.parse(book.from)) return texts.beginsAt(utcMoment(book.from));
  return now < Date.parse(book.until) ? texts.runsUntil(utcMoment(book.until)) : texts.isOver;
}
