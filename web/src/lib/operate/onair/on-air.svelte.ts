import type { AirAlert, AirFilter } from '../../platform/api/client';
import { Navigation } from '../../platform/page/navigation.svelte';
import { memory, remembered } from '../../platform/shared/memory';
import { LineBarStore } from '../line/line-bar.svelte';
import { LineStore } from '../line/line.svelte';
import { AirStore } from './air.svelte';
import { EVERYTHING, WANTED } from './filter';
import { notify, speak, tone } from './sound';

const FILTER_KEY = 'yokebar-air-filter';
const UNRANKED_KEY = 'yokebar-air-unranked';
const ANNOUNCED_FOR_MS = 20_000;
const MAX_ANNOUNCED = 20;
/** Of a few stations beside the contest line; whoever was just worked is left out there anyway. */
const CONTEST_LIST_EVERY_MS = 1_000;

/** A contest in which the station takes part. */
export interface RunningContest {
  /** Of its book. */
  id: number;
  name: string;
}

/** Who is on the air, as the operator filters it, those worth a call for the desk, and what is announced. */
export class OnAirStore {
  readonly air: AirStore;
  readonly shortlist: AirStore;
  /** Those worth most in the contest, whatever the filter. */
  readonly contestList: AirStore;

  /** The contest that runs now; the contest books say so. */
  running: () => RunningContest | undefined = () => undefined;
  /** The book by which the operator does not want the list ranked. */
  #unranked = $state(0);

  /** What was announced and not dismissed yet. */
  announced = $state.raw<AirAlert[]>([]);

  #navigation: Navigation;
  #line: LineStore;
  #bar: LineBarStore;

  constructor(
    position: () => number | undefined,
    navigation: Navigation,
    line: LineStore,
    bar: LineBarStore,
  ) {
    this.air = new AirStore(position, remembered(memory, FILTER_KEY, EVERYTHING));
    this.shortlist = new AirStore(position, WANTED);
    this.contestList = new AirStore(position, EVERYTHING, undefined, CONTEST_LIST_EVERY_MS);
    this.#unranked = remembered(memory, UNRANKED_KEY, 0);
    this.air.contestBook = () => this.contest?.id;
    this.contestList.contestBook = () => this.running()?.id;
    this.#navigation = navigation;
    this.#line = line;
    this.#bar = bar;
  }

  filterBy(filter: AirFilter): void {
    memory.setItem(FILTER_KEY, JSON.stringify(filter));
    this.air.filterBy(filter);
  }

  /** The contest by which the list is ranked. */
  get contest(): RunningContest | undefined {
    const running = this.running();
    return running?.id === this.#unranked ? undefined : running;
  }

  /** Ranks the list by what counts in the running contest, or by what is needed as ever. */
  rankByContest(on: boolean): void {
    this.#unranked = on ? 0 : (this.running()?.id ?? 0);
    memory.setItem(UNRANKED_KEY, String(this.#unranked));
    this.air.hold(false);
    this.air.afresh();
  }

  /** Something is different on the air, or in what stations are worth. */
  moved(): void {
    this.air.moved();
    this.shortlist.moved();
    this.contestList.moved();
  }

  get #inView(): AirStore {
    return this.#navigation.view === 'desk' ? this.shortlist : this.air;
  }

  /** Radio, antenna, contact line and card go to a station; a decode is answered when that is asked for. */
  async goTo(id: number, answer = false): Promise<void> {
    const spot = this.air.spots.find((s) => s.id === id) ?? this.shortlist.spots.find((s) => s.id === id);
    if (spot && !answer) {
      this.#line.fill(`${spot.call.toLowerCase()} `);
      this.#bar.open = true;
    }
    await this.#inView.go(id, answer);
  }

  /** The next of the list in view, or the one before, and there. */
  async step(by: 1 | -1): Promise<void> {
    const spot = this.#inView.step(by);
    if (spot) {
      await this.goTo(spot.id);
    }
  }

  async strike(): Promise<void> {
    const { selected } = this.#inView;
    if (selected !== undefined) {
      await this.#inView.strike(selected);
    }
  }

  dismissAlert(alert: number): void {
    this.announced = this.announced.filter((one) => one.number !== alert);
  }

  announce(alerts: AirAlert[]): void {
    this.announced = [...alerts, ...this.announced].slice(0, MAX_ANNOUNCED);
    for (const alert of alerts) {
      if (alert.tone !== undefined && alert.tone !== null) {
        tone(alert.tone);
      }
      if (alert.spoken) {
        speak(alert.sentence);
      }
      if (alert.notified) {
        notify(alert.sentence);
      }
      setTimeout(() => this.dismissAlert(alert.number), ANNOUNCED_FOR_MS);
    }
  }
}
