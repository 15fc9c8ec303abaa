import type { ContestWorth } from '../../platform/api/client';
import { counted } from '../../platform/shared/format';
import { texts } from './texts';

/** What a contact brings, in words: its points, then each multiplier and bonus. */
export function worthWords(worth: ContestWorth): string[] {
  return [
    counted(worth.points, 'point'),
    ...worth.multipliers.map((name) => texts.newOne(name)),
    ...(worth.bonus > 0 ? [texts.bonus(worth.bonus)] : []),
  ];
}
