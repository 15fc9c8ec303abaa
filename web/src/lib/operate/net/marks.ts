import type { CheckIn, MarkWords } from '../../platform/api/client';

type Mark = CheckIn['marks'][number];

/** What a station says of itself when it checks in, and what that means. */
export const MARKS: { id: Mark; field: keyof MarkWords; label: string }[] = [
  { id: 'TRAFFIC', field: 'traffic', label: 'has traffic' },
  { id: 'EARLY', field: 'early', label: 'leaves early' },
  { id: 'LISTENING', field: 'listening', label: 'only listens' },
];

/** The words for what a station says of itself. */
export function wordsOf(marks: Mark[], words: MarkWords): string[] {
  return MARKS.filter((mark) => marks.includes(mark.id)).map((mark) => words[mark.field]);
}
