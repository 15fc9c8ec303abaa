import type { ContestContact, Spot } from '../../../platform/api/client';
import { remembered, type Memory } from '../../../platform/shared/memory';
import type { LineSteps } from '../sending/line-steps.svelte';

const KEY = 'yokebar-contest-run';
/** So near the radio still is where the operator runs. */
const SAME_HZ = 500;

/** Who was gone to and not worked is offered last for so long. */
const TRIED_MS = 5 * 60_000;
const JUST_WORKED_MS = 10_000;

interface RunAt {
  bookId: number;
  frequencyHz: number;
  mode: string;
}

/** What is needed of the contest line. */
interface Line {
  /** Of the open book. */
  readonly id: number | undefined;
  /** Where the radio is; undefined without one. */
  readonly radioHz: number | undefined;
  readonly keyer: { readonly text: string; stop(): Promise<void> };
  wipe(): void;
  type(text: string): void;
  tuneTo(text: string): Promise<void>;
}

/** A station that was spotted on two frequencies of a band is worked only once. */
function onceOnEachBand(spots: Spot[]): Spot[] {
  const seen = new Set<string>();
  return spots.filter(({ call, band }) => {
    const before = seen.size;
    return seen.add(`${call} ${band}`).size > before;
  });
}

/** From the own frequency to stations that call CQ elsewhere, and back. */
export class Calling {
  /** Where the operator called CQ last; it survives a reload of the page. */
  #at = $state.raw<RunAt | undefined>(undefined);
  /** When the radio went to stations, ms since 1970, by the id of their spot. */
  #tried = $state.raw<ReadonlyMap<number, number>>(new Map());
  #line: Line;
  #steps: LineSteps;
  #memory: Memory;

  constructor(line: Line, steps: LineSteps, memory: Memory) {
    this.#line = line;
    this.#steps = steps;
    this.#memory = memory;
    this.#at = remembered<RunAt | undefined>(memory, KEY, undefined);
  }

  /** A text was sent. */
  sent(mode: string | undefined): void {
    const { id, radioHz } = this.#line;
    if (this.#steps.way !== 'RUN' || id === undefined || radioHz === undefined) return;
    this.#at = { bookId: id, frequencyHz: radioHz, mode: mode ?? '' };
    this.#memory.setItem(KEY, JSON.stringify(this.#at));
  }

  /** Where to go back to in the open book; undefined when nobody called CQ there, or while the radio is there. */
  get leftBehind(): RunAt | undefined {
    const at = this.#at;
    const { id, radioHz } = this.#line;
    if (!at || at.bookId !== id || radioHz === undefined) return undefined;
    return Math.abs(at.frequencyHz - radioHz) > SAME_HZ ? at : undefined;
  }

  /** Goes back there and calls CQ again; what stood on the line can be recalled. */
  async back(): Promise<void> {
    const at = this.leftBehind;
    if (!at) return;
    await this.#stop();
    this.#line.wipe();
    this.#steps.choose('RUN');
    await this.#line.tuneTo(`${at.frequencyHz / 1000} ${at.mode}`.trim());
  }

  /**
   * Those worth most first, but behind the others who was gone to in the last minutes. Who was just worked is gone at once; a
   * moment later the server knows whether that station may be worked again.
   *
   * @param spots those worth most first
   * @param contacts the latest first
   * @param now ms since 1970
   */
  next(spots: Spot[], contacts: ContestContact[], now: number): Spot[] {
    const isTried = ({ id }: Spot) => now - (this.#tried.get(id) ?? 0) < TRIED_MS;
    const worked = contacts.filter(({ start }) => Math.abs(now - Date.parse(start)) < JUST_WORKED_MS);
    const left = onceOnEachBand(spots).filter(
      ({ call, band }) => !worked.some((contact) => contact.call === call && contact.band === band),
    );
    return [...left.filter((spot) => !isTried(spot)), ...left.filter(isTried)];
  }

  /** The radio is about to go to a station: its call stands on the line. */
  async answer({ id, call }: Pick<Spot, 'id' | 'call'>, now: number): Promise<void> {
    const lately = [...this.#tried].filter(([, at]) => now - at < TRIED_MS);
    this.#tried = new Map([...lately, [id, now]]);
    await this.#stop();
    this.#line.wipe();
    if (this.#steps.way === 'RUN') this.#steps.choose('SEARCH');
    this.#line.type(`${call.toLowerCase()} `);
  }

  /** The radio must not change its frequency while it sends. */
  async #stop(): Promise<void> {
    if (this.#line.keyer.text !== '') await this.#line.keyer.stop();
  }
}
