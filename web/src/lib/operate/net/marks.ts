import type { CheckIn, MarkWords } from '../../platform/api/client';
import { texts } from './texts';

type Mark = CheckIn['marks'][number];

/** What a station says of itself when it checks in, and what that means. */
export const MARKS: { id: Mark; field: keyof MarkWords; label: string }[] = [
  { id: 'TRAFFIC', field: 'traffic', label: texts.hasTraffic },
  { id: 'EARLY', field: 'early', label: texts.leavesEarly },
  { id: 'LISTENING', field: 'listening', label: texts.onlyListens },
];

/** The words for what a station says of itself. */
export function wordsOf(marks: Mark[], words: MarkWords): string[] {
  return MARKS.filter((mark) => marks.includes(mark.id)).map((mark) => words[mark.field]);
}
