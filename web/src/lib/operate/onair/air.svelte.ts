import {
  api,
  got,
  Problem,
  type AirFilter,
  type AirNews,
  type Spot,
  type TuneResult,
} from '../../platform/api/client';
import { EVERYTHING } from './filter';
import { texts } from './texts';

/** In a storm news come many times a second; the list is read again no more often than this. */
const READ_EVERY_MS = 200;
/** A quiet air is read again sooner: the fewer were different the last time, the sooner. */
const READ_SOONEST_MS = 50;
const READ_MS_A_CHANGE = 10;
/** What was heard grows old, and so the order changes, without any news. */
const AGE_EVERY_MS = 20_000;

export interface AirAsked {
  positionId?: number;
  filter: AirFilter;
  /** The contest book by which stations are ranked. */
  contestBook?: number;
  since?: string;
}

export type AirReader = (asked: AirAsked) => Promise<AirNews>;

const readAir: AirReader = (body) => got(api.POST('/api/onair/look', { body }));

/**
 * Who is on the air and passes a filter, the best first. Only what changed is fetched. While somebody reads, the order stands
 * still: what is known changes in place, who is new waits.
 */
export class AirStore {
  filter = $state.raw<AirFilter>(EVERYTHING);
  /** In the order they are shown. */
  spots = $state.raw<Spot[]>([]);
  sentence = $state.raw<AirNews['sentence']>([]);
  onAir = $state(0);
  loading = $state(true);
  /** Why the list could not be read. */
  problem = $state('');
  /** Why the last thing that was done with a station did not work; news from the air takes nothing of it away. */
  failure = $state('');
  /** How many came while the order stood still. */
  waiting = $state(0);
  selected = $state<number | undefined>(undefined);
  /** The contest book by which stations are ranked, those left out that would not count; undefined outside of contests. */
  contestBook: () => number | undefined = () => undefined;
  /** What became of going to a station. */
  tuned = $state.raw<TuneResult | undefined>(undefined);

  #read: AirReader;
  #position: () => number | undefined;
  #byId = new Map<number, Spot>();
  #mark: string | undefined;
  #watchers = 0;
  #reading = false;
  #stale = false;
  #holding = false;
  /** The station that is selected was needed, and was worked since it was chosen. */
  #worked = false;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #aging: ReturnType<typeof setInterval> | undefined;
  #readAt = 0;
  #pause = READ_EVERY_MS;
  #soonest: number;

  /** @param every the list is read again no more often than this, ms */
  constructor(
    position: () => number | undefined,
    filter: AirFilter = EVERYTHING,
    read: AirReader = readAir,
    every = 0,
  ) {
    this.#position = position;
    this.#read = read;
    this.#soonest = Math.max(READ_SOONEST_MS, every);
    this.filter = filter;
  }

  get chosen(): Spot | undefined {
    return this.spots.find((spot) => spot.id === this.selected);
  }

  /** Keeps the list up to date as long as somebody looks at it; returns what ends that. */
  watch(): () => void {
    this.#watchers++;
    if (this.#watchers === 1) {
      this.afresh();
      this.#aging = setInterval(() => this.afresh(), AGE_EVERY_MS);
    }
    return () => {
      this.#watchers--;
      if (this.#watchers === 0) {
        clearInterval(this.#aging);
        clearTimeout(this.#timer);
        this.#timer = undefined;
      }
    };
  }

  filterBy(filter: AirFilter): void {
    this.filter = filter;
    this.#holding = false;
    this.afresh();
  }

  /** Reads everything again. */
  afresh(): void {
    this.#mark = undefined;
    this.moved();
  }

  /** Something is different on the air. */
  moved(): void {
    if (this.#watchers === 0) {
      return;
    }
    this.#stale = true;
    if (!this.#reading && this.#timer === undefined) {
      const rest = Math.max(0, this.#readAt + this.#pause - performance.now());
      this.#timer = setTimeout(() => {
        this.#timer = undefined;
        void this.#load();
      }, rest);
    }
  }

  /** While it holds, nothing moves under the eye. */
  hold(holding: boolean): void {
    if (this.#holding && !holding) {
      this.#holding = false;
      this.#order();
    }
    this.#holding = holding;
  }

  async #load(): Promise<void> {
    this.#reading = true;
    this.#stale = false;
    this.#readAt = performance.now();
    const filter = this.filter;
    const contestBook = this.contestBook();
    try {
      const news = await this.#read({
        positionId: this.#position(),
        filter,
        contestBook,
        since: this.#mark,
      });
      if (contestBook !== this.contestBook()) {
        this.#stale = true;
      } else if (filter === this.filter) {
        this.#take(news);
        this.problem = '';
      }
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : texts.yokebarDoesNotAnswer;
    } finally {
      this.#reading = false;
      this.loading = false;
      if (this.#stale) {
        this.moved();
      }
    }
  }

  #take(news: AirNews): void {
    if (news.whole) {
      this.#byId.clear();
    }
    for (const id of news.gone) {
      this.#byId.delete(id);
    }
    for (const spot of news.spots) {
      this.#byId.set(spot.id, spot);
    }
    const changes = news.spots.length + news.gone.length;
    this.#pause = Math.max(this.#soonest, Math.min(READ_EVERY_MS, changes * READ_MS_A_CHANGE));
    this.#mark = news.mark;
    this.onAir = news.onAir;
    this.sentence = news.sentence;
    this.#worked ||= this.#selectedIsDone();
    if (this.#holding && this.spots.length > 0) {
      const shown = new Set(this.spots.map((spot) => spot.id));
      // Whom the operator went to and logged goes at once; others only when nobody reads.
      this.spots = this.spots
        .filter((spot) => spot.id !== this.selected || this.#byId.has(spot.id))
        .map((spot) => this.#byId.get(spot.id) ?? spot);
      this.waiting = [...this.#byId.keys()].filter((id) => !shown.has(id)).length;
    } else {
      this.#order();
    }
  }

  #order(): void {
    this.spots = [...this.#byId.values()].sort((a, b) => b.score - a.score || a.id - b.id);
    this.waiting = 0;
  }

  /** Whether the station that is selected was needed and is not any more, because it was worked. */
  #selectedIsDone(): boolean {
    const before = this.spots.find((spot) => spot.id === this.selected);
    if (!before || before.wants.length === 0) {
      return false;
    }
    return (this.#byId.get(before.id)?.wants.length ?? 0) === 0;
  }

  /**
   * The next in the list, or the one before; the first when none is selected. When the selected one was needed and has been worked,
   * the next is the one needed most by now, wherever the list stands.
   */
  step(by: number): Spot | undefined {
    if (this.#worked && by > 0) {
      this.#worked = false;
      const done = this.selected;
      this.#order();
      this.selected = this.spots.find((spot) => spot.id !== done)?.id;
      return this.chosen;
    }
    this.#worked = false;
    const at = this.spots.findIndex((spot) => spot.id === this.selected);
    const next = this.spots[at < 0 ? 0 : Math.max(0, Math.min(this.spots.length - 1, at + by))];
    this.selected = next?.id;
    return next;
  }

  /** The radio is somewhere: who is under its dial is selected. */
  dialAt(hz: number | undefined, group?: string): void {
    if (hz === undefined) {
      return;
    }
    const width = group === 'PHONE' ? 1_000 : 300;
    const near = this.spots
      .filter((spot) => spot.group !== 'DIGITAL' && Math.abs(spot.frequencyHz - hz) <= width)
      .sort((a, b) => Math.abs(a.frequencyHz - hz) - Math.abs(b.frequencyHz - hz) || b.score - a.score)[0];
    if (near) {
      this.#worked = false;
      this.selected = near.id;
    }
  }

  /** Goes to a station with all there is; gives what came of it. */
  async go(id: number, answer: boolean): Promise<TuneResult | undefined> {
    this.selected = id;
    this.#worked = false;
    try {
      this.tuned = await got(
        api.POST('/api/onair/spots/{id}/go', {
          params: { path: { id } },
          body: { positionId: this.#position(), answer },
        }),
      );
      this.failure = '';
      return this.tuned;
    } catch (e) {
      this.failure = e instanceof Problem ? e.message : texts.yokebarDoesNotAnswer;
      return undefined;
    }
  }

  /** Takes a station off the list; the next one is selected. */
  async strike(id: number): Promise<void> {
    const at = this.spots.findIndex((spot) => spot.id === id);
    await this.#try(() => got(api.POST('/api/onair/spots/{id}/strike', { params: { path: { id } } })));
    this.#byId.delete(id);
    this.spots = this.spots.filter((spot) => spot.id !== id);
    this.selected = this.spots[Math.min(Math.max(0, at), this.spots.length - 1)]?.id;
  }

  async unstrike(): Promise<void> {
    await this.#try(() => got(api.DELETE('/api/onair/strikes')));
    this.afresh();
  }

  async #try(what: () => Promise<unknown>): Promise<void> {
    try {
      await what();
      this.failure = '';
    } catch (e) {
      this.failure = e instanceof Problem ? e.message : texts.yokebarDoesNotAnswer;
    }
  }
}
