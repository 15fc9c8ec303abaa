import { remembered, type Memory } from '../../../platform/shared/memory';

const KEY = 'yokebar-contest-paper';
const HALF_A_DAY_MS = 12 * 3600 * 1000;

/** When contacts were made that are taken from paper: each line's time is read from the time of the one before. */
export class PaperTimes {
  /** When the contact before was made, ISO, UTC; empty until paper was first worked from. */
  before = $state('');

  #memory: Memory;

  constructor(memory: Memory) {
    this.#memory = memory;
    this.before = remembered<string>(memory, KEY, '');
  }

  /**
   * Times are read from now on.
   *
   * @param latest when the latest contact of the book was made, ISO; undefined while there is none
   * @param begins when the contest begins, ISO
   */
  begin(latest: string | undefined, begins: string): void {
    // Half a day later, every time of the first day is the nearest one.
    this.after(latest ?? new Date(Date.parse(begins) + HALF_A_DAY_MS).toISOString());
  }

  /** Whether times are read in the span of a contest, ISO. */
  isWithin({ from, until }: { from: string; until: string }): boolean {
    const at = Date.parse(this.before);
    return at >= Date.parse(from) && at <= Date.parse(until) + HALF_A_DAY_MS;
  }

  /** The day in which times are read, such as 2026-10-24. */
  get day(): string {
    return this.before.slice(0, 10);
  }

  /** Times are read in this day; anything that is no day is not taken. */
  setDay(day: string): boolean {
    if (!/^\d{4}-\d\d-\d\d$/.test(day) || Number.isNaN(Date.parse(`${day}T00:00:00Z`))) return false;
    // From noon every time of the day is the nearest one.
    this.after(`${day}T12:00:00Z`);
    return true;
  }

  /** A contact was logged; the next one follows it. */
  after(at: string): void {
    this.before = at;
    this.#memory.setItem(KEY, JSON.stringify(at));
  }
}
