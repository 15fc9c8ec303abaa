import { api, got, Problem, type DecodeHeard, type DigitalProgram } from '../../platform/api/client';
import { StreamedValue } from '../../platform/live/streamed.svelte';

const SHOWN = 14;
const LOOK_EVERY_MS = 2000;

/** The programs on the digital link, kept fresh by the event stream. */
export class DigitalStore {
  #streamed = new StreamedValue<DigitalProgram[]>([]);

  get programs(): DigitalProgram[] {
    return this.#streamed.value;
  }

  async load(): Promise<void> {
    await this.#streamed.ask(() => got(api.GET('/api/digital/programs')).catch(() => this.programs));
  }

  take(programs: DigitalProgram[]): void {
    this.#streamed.take(programs);
  }

  /** Whom a program is working just now, so that the partner card can show it. */
  get partner(): { call: string; locator?: string } | undefined {
    const working = this.programs.find((p) => p.live && p.partner);
    return working?.partner ? { call: working.partner, locator: working.partnerLocator } : undefined;
  }
}

/** What one program has read lately; read anew while somebody looks at it. */
export class DecodesStore {
  decodes = $state.raw<DecodeHeard[]>([]);
  problem = $state('');

  #program: string;
  #timer: ReturnType<typeof setInterval> | undefined;

  constructor(program: string) {
    this.#program = program;
  }

  watch(everyMs = LOOK_EVERY_MS): () => void {
    void this.load();
    this.#timer = setInterval(() => void this.load(), everyMs);
    return () => clearInterval(this.#timer);
  }

  async load(): Promise<void> {
    try {
      const query = { program: this.#program, limit: SHOWN };
      this.decodes = (await got(api.GET('/api/digital/decodes', { params: { query } }))).decodes;
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }

  answer(decode: string): Promise<void> {
    return this.#tell(() =>
      got(
        api.POST('/api/digital/programs/{id}/answer', {
          params: { path: { id: this.#program } },
          body: { decode },
        }),
      ),
    );
  }

  stop(): Promise<void> {
    return this.#tell(() =>
      got(api.POST('/api/digital/programs/{id}/stop', { params: { path: { id: this.#program } } })),
    );
  }

  async #tell(what: () => Promise<unknown>): Promise<void> {
    try {
      await what();
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }
}
