import { api, got, Problem, type LineAnswer, type LineView } from '../../platform/api/client';
import { memory as browserMemory, remembered, tabMemory, type Memory } from '../../platform/shared/memory';
import { texts } from './texts';

const MAX_RECALLED = 50;
const STICKING_KEY = 'yokebar-sticking';
const DRAFT_KEY = 'yokebar-line-draft';
const MAX_OPEN = 20;

/** What the line asks of the server; tests stand one in. */
export interface LineServer {
  read(body: LineBody): Promise<LineView>;
  log(body: LineBody): Promise<LineAnswer>;
  tune(body: LineBody): Promise<{ there?: boolean }>;
}

export interface LineBody {
  text: string;
  positionId?: number;
  typedForMs: number;
  sticking?: Record<string, string>;
  key?: string;
  /** The answer to a question: the contact of the log that it is, or 0 for another one. */
  sameAs?: number;
}

const server: LineServer = {
  read: (body) => got(api.POST('/api/line/read', { body })),
  log: (body) => got(api.POST('/api/line/log', { body })),
  tune: (body) => got(api.POST('/api/line/tune', { body })),
};

/** The last line that was logged. */
export interface Logged {
  text: string;
  sentence: string;
  contactId: number;
  changeId?: number;
}

/** A line that was sent off and not answered yet. */
interface Sent {
  body: LineBody;
  /** When its call was begun, ms since the epoch. */
  firstTyped: number;
}

/** A line that was sent off and still wants the operator: it was refused, or there is a question about it. */
export interface OpenLine extends Sent {
  key: string;
  text: string;
  sentence: string;
  /** The contact of the log that it may be; undefined when it was refused. */
  sameAs?: number;
}

/** What a tab keeps of its line. */
interface Draft {
  text: string;
  aside: string[];
  open: OpenLine[];
  sent: Sent[];
}

/** As the clock of the page goes, ms since the epoch: it jumps only when the page is loaded again. */
const now = () => performance.timeOrigin + performance.now();

/**
 * The contact line. While it is typed the server says what it means; Enter sends it off and the line is free for the next at
 * once. What was sent off is carried out in order, so that a contact typed behind a change of frequency is logged there. Each
 * keeps its own outcome: one that was refused stays in sight until it is dealt with. Nothing typed is lost when the page is
 * loaded again.
 */
export class LineStore {
  text = $state('');
  view = $state.raw<LineView | undefined>(undefined);
  /** The text the view is of. */
  readText = $state('');
  outcome = $state.raw<Logged | undefined>(undefined);
  /** The oldest first. */
  open = $state.raw<OpenLine[]>([]);
  /** Lines that made room for a station that was chosen; the newest first. */
  aside = $state.raw<string[]>([]);
  /** Lines on their way. */
  underWay = $state(0);
  sticking = $state.raw<Record<string, string>>({});

  #server: LineServer;
  #memory: Memory;
  #tab: Memory;
  #position: () => number | undefined;
  #firstTyped = 0;
  #reading = false;
  #stale = false;
  #queue: Promise<void> = Promise.resolve();
  #past: string[] = [];
  #recalled = -1;
  #cleared = '';
  /** The station that filled the line, while nothing was typed behind it. */
  #filled = '';
  #sent: Sent[] = [];

  constructor(
    position: () => number | undefined,
    on: LineServer = server,
    memory: Memory = browserMemory,
    tab: Memory = tabMemory,
  ) {
    this.#position = position;
    this.#server = on;
    this.#memory = memory;
    this.#tab = tab;
    this.sticking = remembered<Record<string, string>>(memory, STICKING_KEY, {});
    this.#bringBack();
  }

  type(text: string): void {
    if (this.text.trim() === '' && text.trim() !== '') {
      this.#firstTyped = now();
    }
    this.text = text;
    this.#recalled = -1;
    this.#keep();
    void this.#read();
  }

  /** Fills the line with a station that was chosen; what is being typed is set aside, {@link recall} brings it back. */
  fill(text: string): void {
    const typed = this.text.trim();
    if (typed !== '' && typed !== this.#filled) {
      this.aside = [typed, ...this.aside.filter((t) => t !== typed)].slice(0, MAX_OPEN);
    }
    this.#filled = text.trim();
    this.type(text);
  }

  /** Puts what a piece could be otherwise in its place: of the piece at the cursor, else of the last that is in doubt. */
  settle(cursor: number): boolean {
    const doubtful = (this.view?.tokens ?? []).filter((token) => token.otherwise);
    const token =
      doubtful.find((t) => t.from <= cursor && cursor <= t.until) ?? doubtful[doubtful.length - 1];
    if (!token?.otherwise || this.readText !== this.text) {
      return false;
    }
    const from = this.text.lastIndexOf(' ', token.from) + 1;
    const space = this.text.indexOf(' ', token.until);
    const until = space < 0 ? this.text.length : space;
    this.type(this.text.slice(0, from) + token.otherwise + this.text.slice(until));
    return true;
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
    this.#keep();
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

  /** Brings back a line: one that was set aside, then those sent off before, the last first. */
  recall(step: 1 | -1): void {
    const [waiting, ...others] = this.aside;
    if (step === 1 && waiting !== undefined) {
      this.aside = others;
      this.#filled = '';
      this.type(waiting);
      return;
    }
    const next = Math.max(-1, Math.min(this.#past.length - 1, this.#recalled + step));
    const text = next < 0 ? '' : (this.#past[next] ?? '');
    this.dismiss(this.open.find((o) => o.text === text && o.sameAs === undefined));
    this.type(text);
    this.#recalled = next;
  }

  /** Takes a line that was refused back to be corrected; what is being typed is set aside. */
  correct(line: OpenLine): void {
    this.dismiss(line);
    this.fill(line.text);
    this.#firstTyped = line.firstTyped;
  }

  dismiss(line: OpenLine | undefined): void {
    this.open = this.open.filter((o) => o !== line);
    this.#keep();
  }

  /** Answers the question about a line. */
  answer(line: OpenLine, same: boolean): Promise<void> {
    this.dismiss(line);
    return this.#send({ ...line.body, sameAs: same ? line.sameAs : 0 }, line.firstTyped);
  }

  /** Keeps a field's value for the contacts to come, or no longer. */
  stick(field: string, value: string | undefined): void {
    const others = Object.entries(this.sticking).filter(([name]) => name !== field);
    const kept = Object.fromEntries(value === undefined ? others : [...others, [field, value]]);
    this.sticking = kept;
    this.#memory.setItem(STICKING_KEY, JSON.stringify(kept));
    void this.#read();
  }

  /**
   * Brings back the text of what was logged last, so that it can be undone; what is on its way is waited for.
   *
   * @returns the change to undo
   */
  async takeBack(): Promise<number | undefined> {
    await this.#queue;
    const outcome = this.outcome;
    if (outcome?.changeId === undefined) return undefined;
    this.fill(outcome.text);
    this.outcome = undefined;
    return outcome.changeId;
  }

  /**
   * Sends the line off: to the log, or to the radio if it says only where to tune to. A line that is known to be wrong stays.
   *
   * @returns whether it went, once it is through
   */
  async enter(): Promise<boolean> {
    const text = this.text.trim();
    if (text === '' || this.#wrong()) {
      await this.#queue;
      return false;
    }
    const body = { ...this.#body(text), key: crypto.randomUUID() };
    const firstTyped = this.#firstTyped;
    this.#past = [text, ...this.#past.filter((t) => t !== text)].slice(0, MAX_RECALLED);
    this.#recalled = -1;
    this.#cleared = '';
    this.#filled = '';
    this.text = '';
    this.view = undefined;
    await this.#send(body, firstTyped);
    return true;
  }

  /** While other lines are under way the radio may still come to where this one is right. */
  #wrong(): boolean {
    const current = this.readText === this.text && this.underWay === 0;
    return current && this.view !== undefined && !this.view.tunes && this.view.problems.length > 0;
  }

  #send(body: LineBody, firstTyped: number): Promise<void> {
    const sent = { body, firstTyped };
    this.underWay++;
    this.#sent = [...this.#sent, sent];
    this.#keep();
    this.#queue = this.#queue
      .then(() => this.#carryOut(body, firstTyped))
      .finally(() => {
        this.underWay--;
        this.#sent = this.#sent.filter((s) => s !== sent);
        this.#keep();
      });
    return this.#queue;
  }

  async #carryOut(body: LineBody, firstTyped: number): Promise<void> {
    const upToNow = () => ({ ...body, typedForMs: Math.round(now() - firstTyped) });
    try {
      const view = await this.#server.read(upToNow());
      if (!view.radio && !view.late) {
        this.#keepTuning(view);
      }
      if (view.tunes && !view.radio) {
        this.outcome = undefined;
      } else if (view.tunes) {
        const { there } = await this.#server.tune(upToNow());
        if (!there) {
          this.#leaveOpen(body, firstTyped, texts.theRadioHasNotReported);
        }
      } else {
        const { logged, question } = await this.#server.log(upToNow());
        if (question) {
          this.#leaveOpen(body, firstTyped, question.sentence, question.contactId);
        } else if (logged) {
          const { sentence, contactId, changeId } = logged;
          this.outcome = { text: body.text, sentence, contactId, changeId };
        }
      }
    } catch (e) {
      this.#leaveOpen(body, firstTyped, e instanceof Problem ? e.message : String(e));
    }
    this.refresh();
  }

  /** Without a radio that tells, frequency and mode stay as they were typed last. */
  #keepTuning(view: LineView): void {
    if (view.frequencyHz) {
      this.stick('FREQ', String(view.frequencyHz / 1e6));
    }
    if (view.mode) {
      this.stick('MODE', view.mode);
    }
  }

  #leaveOpen(body: LineBody, firstTyped: number, sentence: string, sameAs?: number): void {
    const line = { key: body.key ?? body.text, text: body.text, sentence, body, firstTyped, sameAs };
    this.open = [...this.open, line].slice(-MAX_OPEN);
    this.#keep();
  }

  #keep(): void {
    const draft: Draft = {
      text: this.text,
      aside: this.aside,
      open: this.open,
      sent: this.#sent,
    };
    this.#tab.setItem(DRAFT_KEY, JSON.stringify(draft));
  }

  #bringBack(): void {
    const draft = remembered<Draft | undefined>(this.#tab, DRAFT_KEY, undefined);
    if (!draft) {
      return;
    }
    this.aside = draft.aside;
    this.open = draft.open;
    if (draft.text !== '') {
      this.type(draft.text);
    }
    // Their keys are known to the server, so that what it had logged already is not logged again.
    draft.sent.forEach(({ body, firstTyped }) => void this.#send(body, firstTyped));
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
      typedForMs: Math.round(now() - this.#firstTyped),
      sticking: this.sticking,
    };
  }
}
