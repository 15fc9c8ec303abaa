import type { Spot } from '../../platform/api/client';
import { texts } from './texts';

/** By which ears a station was heard, as people say it. */
export const EARS: Record<Spot['ears'][number], string> = {
  PERSON: texts.cluster,
  SKIMMER: texts.skimmer,
  DECODER: texts.here,
};

/** `here, skimmer, cluster`: the nearest ear first. */
export function heardBy(spot: Spot): string {
  return [...spot.ears]
    .reverse()
    .map((ear) => EARS[ear])
    .join(', ');
}

/** Minutes since it was heard, `now` within the first. */
export function age(spot: Spot, now: number): string {
  const minutes = Math.floor(Math.max(0, now - Date.parse(spot.lastAt)) / 60_000);
  return minutes < 1 ? texts.isNow : texts.minMinutes(minutes);
}

/** How much of its time a report has left, 1 to 0. */
export function freshness(spot: Spot, now: number, maxAgeMinutes: number): number {
  return Math.max(0, 1 - (now - Date.parse(spot.lastAt)) / (maxAgeMinutes * 60_000));
}
