import type { ContestWorth } from '../../../platform/api/client';
import { counted } from '../../../platform/shared/format';
import { texts } from './texts';

/** The same for a list of calls: whether it counts, and how much. */
export function shortWorth(worth: ContestWorth): string {
  if (worth.dupe) return texts.dupe;
  return worth.counts ? worthWords(worth).join(' · ') : worth.reason;
}

/** So short that it can stand in a text: that it was worked, or what it is the first to bring. */
export const worthMark = (worth: ContestWorth): string =>
  worth.dupe ? texts.dupe : worth.multipliers.map((name) => texts.newOne(name)).join(' ');

/** What a contact brings, in words: its points, then each multiplier and bonus. */
export function worthWords(worth: ContestWorth): string[] {
  return [
    counted(worth.points, 'point'),
    ...worth.multipliers.map((name) => texts.newOne(name)),
    ...(worth.bonus > 0 ? [texts.bonus(worth.bonus)] : []),
  ];
}
