import type { ContestBook } from '../../platform/api/client';
import { utcDate, utcMinute } from '../../platform/shared/format';
import { texts } from './texts';

/** A moment as date and time, UTC. */
export const moment = (at: string): string => `${utcDate(at)} ${utcMinute(at)}`;

/**
 * Whether the contest of a book runs, in words.
 *
 * @param now ms since 1970
 */
export function bookState(book: ContestBook, now: number): string {
  if (now < Date.parse(book.from)) return texts.beginsAt(moment(book.from));
  return now < Date.parse(book.until) ? texts.runsUntil(moment(book.until)) : texts.isOver;
}
