import type { Memory } from '../position/positions.svelte';
import { api, got, Problem, type LineLogged, type LineView } from '../api/client';
import { memory as browserMemory } from '../shared/memory';

const MOST_RECALLED = 50;
const STICKING_KEY = 'yokebar-sticking';

/** The fields an operator may fill in instead of typing freely, by the name the line knows them by. */
export const LINE_FIELDS = [
  { name: 'call', label: 'Call', width: '10ch' },
  { name: 'sent', label: 'Sent', width: '5ch' },
  { name: 'rcvd', label: 'Received', width: '5ch' },
  { name: 'name', label: 'Name', width: '10ch' },
  { name: 'loc', label: 'Locator', width: '8ch' },
  { name: 'qth', label: 'Town', width: '12ch' },
  { name: 'state', label: 'State', width: '6ch' },
  { name: 'power', label: 'Power, W', width: '6ch' },
  { name: 'comment', label: 'Comment', width: '18ch' },
  { name: 'note', label: 'Note', width: '18ch' },
  { name: 'via', label: 'Via', width: '6ch' },
  { name: 'sat', label: 'Satellite', width: '10ch' },
  { name: 'date', label: 'Day', width: '11ch' },
  { name: 'time', label: 'Began', width: '6ch' },
  { name: 'end', label: 'Ended', width: '6ch' },
] as const;

/** What the line asks of the server; tests stand one in. */
export interface LineServer {
  read(body: LineBody): Promise<LineView>;
  log(body: LineBody): Promise<LineLogged>;
  tune(body: LineBody): Promise<{ there?: boolean }>;
}

export interface LineBody {
  text: string;
  positionId?: number;
  typedForMs: number;
  sticking?: Record<string, string>;
  key?: string;
}

const server: LineServer = {
  read: (body) => got(api.POST('/api/line/read', { body })),
  log: (body) => got(api.POST('/api/line/log', { body })),
  tune: (body) => got(api.POST('/api/line/tune', { body })),
};

/** What came of a line that was sent off. */
export interface Outcome {
  text: string;
  sentence: string;
  good: boolean;
  contactId?: number;
  changeId?: number;
}

/**
 * The contact line. While it is typed the server says what it means; Enter sends it off and the line is free for the next at
 * once. What was sent off is carried out in order, so that a contact typed behind a change of frequency is logged there.
 */
export class LineStore {
  text = $state('');
  view = $state.raw<LineView | undefined>(undefined);
  /** The text the view is of. */
  readText = $state('');
  outcome = $state.raw<Outcome | undefined>(undefined);
  /** Lines on their way. */
  underWay = $state(0);
  sticking = $state.raw<Record<string, string>>({});

  #server: LineServer;
  #memory: Memory;
  #position: () => number | undefined;
  #firstTyped = 0;
  #reading = false;
  #stale = false;
  #queue: Promise<void> = Promise.resolve();
  #past: string[] = [];
  #recalled = -1;
  #cleared = '';

  constructor(position: () => number | undefined, on: LineServer = server, memory: Memory = browserMemory) {
    this.#position = position;
    this.#server = on;
    this.#memory = memory;
    this.sticking = JSON.parse(memory.getItem(STICKING_KEY) ?? '{}') as Record<string, string>;
  }

  type(text: string): void {
    if (this.text.trim() === '' && text.trim() !== '') {
      this.#firstTyped = performance.now();
    }
    this.text = text;
    this.#recalled = -1;
    void this.#read();
  }

  /** Empties the line; {@link restore} brings it back. */
  clear(): void {
    if (this.text.trim() !== '') {
      this.#cleared = this.text;
    }
    this.text = '';
    this.readText = '';
    this.view = undefined;
    this.outcome = undefined;
  }

  /** Brings back what was cleared last. */
  restore(): boolean {
    if (this.text.trim() !== '' || this.#cleared === '') {
      return false;
    }
    this.type(this.#cleared);
    this.#cleared = '';
    return true;
  }

  /** Brings back a line sent off before: the last, then those before it. */
  recall(step: 1 | -1): void {
    const next = Math.max(-1, Math.min(this.#past.length - 1, this.#recalled + step));
    const text = next < 0 ? '' : (this.#past[next] ?? '');
    this.type(text);
    this.#recalled = next;
  }

  /** Keeps a field's value for the contacts to come, or no longer. */
  stick(field: string, value: string | undefined): void {
    const others = Object.entries(this.sticking).filter(([name]) => name !== field);
    const kept = Object.fromEntries(value === undefined ? others : [...others, [field, value]]);
    this.sticking = kept;
    this.#memory.setItem(STICKING_KEY, JSON.stringify(kept));
    void this.#read();
  }

  /** Sends the line off: to the log, or to the radio if it says only where to tune to. */
  enter(): Promise<void> {
    const text = this.text.trim();
    if (text === '') {
      return this.#queue;
    }
    const body = { ...this.#body(text), key: crypto.randomUUID() };
    const firstTyped = this.#firstTyped;
    this.#past = [text, ...this.#past.filter((t) => t !== text)].slice(0, MOST_RECALLED);
    this.#recalled = -1;
    this.#cleared = '';
    this.text = '';
    this.view = undefined;
    this.underWay++;
    this.#queue = this.#queue.then(() => this.#carryOut(body, firstTyped)).finally(() => this.underWay--);
    return this.#queue;
  }

  async #carryOut(body: LineBody, firstTyped: number): Promise<void> {
    const now = () => ({ ...body, typedForMs: Math.round(performance.now() - firstTyped) });
    try {
      const view = await this.#server.read(now());
      if (view.tunes) {
        const { there } = await this.#server.tune(now());
        this.outcome = there
          ? undefined
          : { text: body.text, sentence: 'The radio was told, but does not report it yet.', good: false };
      } else {
        const logged = await this.#server.log(now());
        this.outcome = {
          text: body.text,
          sentence: logged.sentence,
          good: true,
          contactId: logged.contactId,
          changeId: logged.changeId,
        };
      }
    } catch (e) {
      const sentence = e instanceof Problem ? e.message : String(e);
      this.outcome = { text: body.text, sentence, good: false };
      if (this.text === '') {
        this.text = body.text;
        this.#firstTyped = firstTyped;
        void this.#read();
      }
    }
    this.refresh();
  }

  /** The radio or the log is different now, so the line may mean something else. */
  refresh(): void {
    if (this.text.trim() !== '') {
      this.#stale = true;
      void this.#read();
    }
  }

  /** Asks what the line means; while an answer is under way only the newest question waits. */
  async #read(): Promise<void> {
    if (this.#reading) {
      return;
    }
    this.#reading = true;
    try {
      let asked: string | undefined;
      while (asked !== this.text || this.#stale) {
        asked = this.text;
        this.#stale = false;
        const view = asked.trim() === '' ? undefined : await this.#server.read(this.#body(asked));
        if (asked === this.text) {
          this.view = view;
          this.readText = asked;
        }
      }
    } catch {
      // The page says that the server does not answer; the line waits.
    } finally {
      this.#reading = false;
    }
  }

  #body(text: string): LineBody {
    return {
      text,
      positionId: this.#position(),
      typedForMs: Math.round(performance.now() - this.#firstTyped),
      sticking: this.sticking,
    };
  }
}

/** The line that fields make, for the same reader. */
export function lineOf(fields: Record<string, string>): string {
  return Object.entries(fields)
    .filter(([, value]) => value.trim() !== '')
    .map(([name, value]) => {
      const tidy = value.trim().replaceAll('"', '');
      return name === 'call' ? tidy : `${name}:${/\s/.test(tidy) ? `"${tidy}"` : tidy}`;
    })
    .join(' ');
}
