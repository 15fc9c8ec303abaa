import type { ContestHour } from '../../platform/api/client';

const HOUR = 3_600_000;

/** A point of the graph: how much of the contest has passed, from 0 to 1, and the score then. */
interface ScorePoint {
  part: number;
  score: number;
}

/**
 * The score over the contest; it grows within the hours that have contacts and stands still between them.
 *
 * @param from its first moment, UTC
 * @param until the first moment after it, UTC
 * @param now ms since 1970; nothing is known of what comes after it
 */
export function scorePoints(hours: ContestHour[], from: string, until: string, now: number): ScorePoint[] {
  const begin = Date.parse(from);
  const length = Math.max(Date.parse(until) - begin, 1);
  const end = Math.min(now, Date.parse(until));
  const part = (at: number) => Math.max((Math.min(at, end) - begin) / length, 0);
  const points: ScorePoint[] = [{ part: 0, score: 0 }];
  for (const hour of hours) {
    const at = Date.parse(hour.from);
    const before = points[points.length - 1]?.score ?? 0;
    points.push({ part: part(at), score: before }, { part: part(at + HOUR), score: hour.score });
  }
  points.push({ part: part(end), score: points[points.length - 1]?.score ?? 0 });
  return points;
}

/** Minutes as hours and minutes, such as 3:07. */
export function hoursAndMinutes(minutes: number): string {
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
}
