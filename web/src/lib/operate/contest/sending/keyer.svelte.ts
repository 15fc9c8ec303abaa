import { api, got, Problem, type Radio } from '../../../platform/api/client';
import type { Memory } from '../../../platform/shared/memory';

const SPEED_KEY = 'yokebar-keyer-speed';
const FIRST_SPEED = 28;
/** Words of the length of PARIS a minute. */
const SLOWEST = 6;
const FASTEST = 48;

/** The keyer of the radio at this position. */
export class Keyer {
  /** Words a minute. */
  speed = $state(FIRST_SPEED);

  /** Whether the radio was told its speed since the page was loaded. */
  #told = false;
  #radio: () => Radio | undefined;
  #memory: Memory;
  #report: (problem: string) => void;

  /** @param report gets what could not be done */
  constructor(radio: () => Radio | undefined, memory: Memory, report: (problem: string) => void) {
    this.#radio = radio;
    this.#memory = memory;
    this.#report = report;
    this.speed = Number(memory.getItem(SPEED_KEY) ?? FIRST_SPEED);
  }

  /** What it sends for somebody now; empty when it sends no text. */
  get text(): string {
    return this.#radio()?.sendingText ?? '';
  }

  /** Why the last text was not sent to its end; empty when it was. */
  get failure(): string {
    return this.#radio()?.textProblem ?? '';
  }

  /** Whether the radio keys texts itself; in radioteletype a program sends them, at its own speed. */
  get keysItself(): boolean {
    return this.#radio()?.now?.modeGroup === 'CW';
  }

  /** Whether the radio reports that it transmits. */
  get transmits(): boolean {
    return this.#radio()?.now?.transmitting === true;
  }

  setSpeed(wordsPerMinute: number): Promise<void> {
    const speed = Math.min(FASTEST, Math.max(SLOWEST, Math.round(wordsPerMinute)));
    this.speed = speed;
    this.#told = true;
    this.#memory.setItem(SPEED_KEY, String(speed));
    return this.#tell((id) =>
      api.POST('/api/radios/{id}/keyer-speed', {
        params: { path: { id } },
        body: { wordsPerMinute: speed },
      }),
    );
  }

  /** What is shown as its speed is its speed, before it sends anything. */
  async prepare(): Promise<void> {
    if (!this.#told && this.keysItself) await this.setSpeed(this.speed);
  }

  /** Ends what it sends, and what waits behind it. */
  stop(): Promise<void> {
    return this.#tell((id) => api.POST('/api/radios/{id}/stop-text', { params: { path: { id } } }));
  }

  async #tell(ask: (radioId: number) => Parameters<typeof got>[0]): Promise<void> {
    const radio = this.#radio();
    if (!radio) return;
    try {
      await got(ask(radio.id));
    } catch (e) {
      this.#report(e instanceof Problem ? e.message : String(e));
    }
  }
}
