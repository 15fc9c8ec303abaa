import type { ContestLineRequest, ContestText } from '../../../platform/api/client';
import { remembered, type Memory } from '../../../platform/shared/memory';

const KEY = 'yokebar-contest-steps';

/** How somebody works: by texts that are sent, without, or from a log on paper. */
export type Way = 'LOG' | 'PAPER' | ContestText['way'];
export type Slot = ContestText['slot'];

/** The ways in the order of their switch. */
export const WAYS: Way[] = ['LOG', 'RUN', 'SEARCH', 'PAPER'];

/** Whether texts are sent. */
export const sends = (way: Way): way is ContestText['way'] => way !== 'LOG' && way !== 'PAPER';

/** The one after it by key; to paper one goes only by the switch. */
export function nextWay(way: Way): Way {
  const live = WAYS.filter((one) => one !== 'PAPER');
  return live[(live.findIndex((one) => one === way) + 1) % live.length] ?? 'LOG';
}

interface Kept {
  way: Way;
  key: string;
  sent: Slot[];
}

/**
 * How far a contact has come on the contest line. It survives a reload of the page, for what was sent was heard.
 */
export class LineSteps {
  way = $state<Way>('LOG');
  /** What was sent to the station on the line. */
  sent = $state.raw<Slot[]>([]);
  /** Of the contact that is logged next: the serial that was sent stays with it. */
  key: string;

  #memory: Memory;

  constructor(memory: Memory) {
    this.#memory = memory;
    const kept = remembered<Kept>(memory, KEY, { way: 'LOG', key: crypto.randomUUID(), sent: [] });
    this.way = kept.way;
    this.sent = kept.sent;
    this.key = kept.key;
    this.#keep();
  }

  choose(way: Way): void {
    this.way = way;
    this.sent = [];
    this.#keep();
  }

  /** What the server has to know of it. */
  get asked(): Pick<ContestLineRequest, 'key' | 'way' | 'sent'> {
    return sends(this.way) ? { key: this.key, way: this.way, sent: this.sent } : { key: this.key };
  }

  /** Something was sent to the station on the line. */
  add(slot: Slot | undefined): void {
    if (slot !== undefined && !this.sent.includes(slot)) {
      this.sent = [...this.sent, slot];
      this.#keep();
    }
  }

  /** The line was emptied: another station is the next. */
  forget(): void {
    if (this.sent.length > 0) {
      this.sent = [];
      this.#keep();
    }
  }

  /** The contact is on its way into the log. */
  done(): void {
    this.key = crypto.randomUUID();
    this.sent = [];
    this.#keep();
  }

  #keep(): void {
    this.#memory.setItem(
      KEY,
      JSON.stringify({ way: this.way, key: this.key, sent: this.sent } satisfies Kept),
    );
  }
}
