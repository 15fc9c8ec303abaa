import type { TextPart } from '../../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // worth
  dupe: 'Worked before',
  newOne: (name: TextPart) => `${name} +1`,
  bonus: (points: TextPart) => `bonus ${points}`,
};
