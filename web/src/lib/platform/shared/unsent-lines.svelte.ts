import { NoAnswer, Problem } from '../api/client';
import { remembered, type Memory } from './memory';

const RETRY_MS = 2000;

/** What becomes of the lines. */
interface Handlers<Line> {
  /** Sends one; what was answered is stored. */
  send: (line: Line) => Promise<unknown>;
  /** What was typed. */
  text: (line: Line) => string;
  /** Puts a refused line back to be corrected, with the reason; false when the next one is being typed already. */
  takeBack: (text: string, sentence: string) => boolean;
  /** Why nothing is answered at present; empty when it is. */
  report: (problem: string) => void;
}

/**
 * Typed lines on their way to the server: one after the other, again and again until it answers. They survive a reload of the
 * page. Each has a key of its own, so that a second try does no harm.
 */
export class UnsentLines<Line> {
  /** The oldest first. */
  waiting = $state.raw<Line[]>([]);
  /** Lines that were refused and do not stand in the line again, each text once, with the reason. */
  refused = $state.raw<{ text: string; sentence: string }[]>([]);

  #memory: Memory;
  #key: string;
  #handlers: Handlers<Line>;
  #sending: Promise<void> | undefined;

  /** @param key under which they are remembered */
  constructor(memory: Memory, key: string, handlers: Handlers<Line>) {
    this.#memory = memory;
    this.#key = key;
    this.#handlers = handlers;
    this.waiting = remembered<Line[]>(memory, key, []);
  }

  add(line: Line): Promise<void> {
    this.#keep([...this.waiting, line]);
    return this.send();
  }

  /** Sends what waits, in order, until nothing does or the server does not answer; then it is tried again a little later. */
  send(): Promise<void> {
    this.#sending ??= this.#sendAll().finally(() => {
      this.#sending = undefined;
      if (this.waiting.length > 0) setTimeout(() => void this.send(), RETRY_MS);
    });
    return this.#sending;
  }

  async #sendAll(): Promise<void> {
    for (let next = this.waiting[0]; next !== undefined; next = this.waiting[0]) {
      try {
        await this.#handlers.send(next);
        this.#handlers.report('');
      } catch (e) {
        if (e instanceof NoAnswer) {
          this.#handlers.report(e.message);
          return;
        }
        this.#refuse(this.#handlers.text(next), e instanceof Problem ? e.message : String(e));
      }
      this.#keep(this.waiting.slice(1));
    }
  }

  #refuse(text: string, sentence: string): void {
    if (!this.#handlers.takeBack(text, sentence)) this.setAside(text, sentence);
  }

  /** Shows what was refused beside the line; the same again takes the place of what was said of it before. */
  setAside(text: string, sentence: string): void {
    this.refused = [...this.refused.filter((one) => one.text !== text), { text, sentence }];
  }

  dismissRefused(): void {
    this.refused = [];
  }

  #keep(lines: Line[]): void {
    this.waiting = lines;
    this.#memory.setItem(this.#key, JSON.stringify(lines));
  }
}
