import type { Preferences } from '../api/client';

/** How the station likes dates, distances and clocks, for everything that writes some. */
class Preferred {
  miles = $state(false);
  dateForm = $state<NonNullable<Preferences['dateForm']>>('YEAR_FIRST');
  /** An IANA time zone; empty for the browser's own. */
  secondClock = $state('');

  take(preferences: Preferences | undefined): void {
    this.miles = preferences?.miles ?? false;
    this.dateForm = preferences?.dateForm ?? 'YEAR_FIRST';
    this.secondClock = preferences?.secondClock ?? '';
  }
}

export const preferred = new Preferred();
