import type { BoardStep, ContestHour } from '../../../platform/api/client';

const HOUR = 3_600_000;

/**
 * How the own score grew, by the hours of the book: the scoreboard only knows what was posted.
 *
 * @param now ms since 1970
 */
export function ownCourse(hours: ContestHour[], now: number): BoardStep[] {
  const first = hours[0];
  if (!first) return [];
  return [
    { at: first.from, score: 0 },
    ...hours.map(({ from, score }) => ({
      at: new Date(Math.min(Date.parse(from) + HOUR, now)).toISOString(),
      score,
    })),
  ];
}
