import { api, got, Problem, type JournalLine, type WhyReason } from '../../platform/api/client';
import { texts } from './texts';

const SHOWN = 100;

export type DecisionFilter = JournalLine['decision'] | '';

/** The intake journal, the newest first: every record that came, and what was decided about it. */
export class JournalStore {
  lines = $state.raw<JournalLine[]>([]);
  decision = $state<DecisionFilter>('');
  source = $state('');
  call = $state('');
  problem = $state('');
  loaded = $state(false);
  /** Whether there are older ones. */
  more = $state(false);
  /** How long repeats are kept, days; undefined for ever. */
  keepDays = $state<number | undefined>(undefined);
  #request = 0;

  async load(): Promise<void> {
    await this.#read(undefined);
  }

  async loadKeeping(): Promise<void> {
    this.keepDays = (await got(api.GET('/api/journal/keeping'))).repeatsDays;
  }

  /** Keeps repeats so many days; undefined for ever. */
  async keep(repeatsDays: number | undefined): Promise<void> {
    try {
      this.keepDays = (await got(api.PUT('/api/journal/keeping', { body: { repeatsDays } }))).repeatsDays;
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }

  /** Goes on below the oldest that is shown. */
  async older(): Promise<void> {
    await this.#read(this.lines.at(-1)?.id);
  }

  /** An answer to an earlier question that comes after a later one is out of date. */
  async #read(below: number | undefined): Promise<void> {
    const mine = ++this.#request;
    const query = {
      limit: SHOWN,
      below,
      decision: this.decision || undefined,
      source: this.source || undefined,
      call: this.call.trim() || undefined,
    };
    try {
      const lines = await got(api.GET('/api/journal', { params: { query } }));
      if (mine !== this.#request) {
        return;
      }
      this.lines = below === undefined ? lines : [...this.lines, ...lines];
      this.more = lines.length === SHOWN;
      this.problem = '';
    } catch (e) {
      if (mine === this.#request) {
        this.problem = e instanceof Problem ? e.message : String(e);
      }
    } finally {
      this.loaded = true;
    }
  }

  /** Sends a record that was not taken through once more; gives what became of it. */
  async again(id: number, raw: string): Promise<string> {
    try {
      const outcome = await got(
        api.POST('/api/journal/{id}/again', { params: { path: { id } }, body: { raw } }),
      );
      await this.load();
      return outcome.sentence;
    } catch (e) {
      return e instanceof Problem ? e.message : String(e);
    }
  }
}

/** Answers why something is not in the log. */
export class WhyStore {
  reasons = $state.raw<WhyReason[] | undefined>(undefined);
  problem = $state.raw<Problem | undefined>(undefined);
  asking = $state(false);

  async ask(call: string, at: string): Promise<void> {
    this.asking = true;
    try {
      const query = { call, at: at.trim() || undefined };
      this.reasons = await got(api.GET('/api/journal/why', { params: { query } }));
      this.problem = undefined;
    } catch (e) {
      this.reasons = undefined;
      this.problem = e instanceof Problem ? e : new Problem(String(e));
    } finally {
      this.asking = false;
    }
  }
}

/** How a decision is called on screen. */
export const DECISION_WORDS: Record<JournalLine['decision'], string> = {
  ADDED: texts.added,
  MERGED: texts.merged,
  DUPLICATE: texts.cameAgain,
  LEFT_OUT: texts.leftOut,
  REFUSED: texts.refused,
};
