import type { CheckIn } from '../../platform/api/client';

/** What a station says of itself when it checks in: the word that is typed for it, and what it means. */
export const MARKS: { id: CheckIn['marks'][number]; word: string; label: string }[] = [
  { id: 'TRAFFIC', word: 'traffic', label: 'has traffic' },
  { id: 'EARLY', word: 'early', label: 'leaves early' },
  { id: 'LISTENING', word: 'listening', label: 'only listens' },
];
