import { api, got, Problem, type JournalLine } from '../api/client';

const SHOWN = 50;

/** The newest lines of the intake journal: every record that came, and what was decided about it. */
export class ArrivalStore {
  lines = $state.raw<JournalLine[]>([]);
  refusedOnly = $state(false);
  problem = $state('');

  async load(): Promise<void> {
    const query = { limit: SHOWN, decision: this.refusedOnly ? ('REFUSED' as const) : undefined };
    try {
      this.lines = await got(api.GET('/api/journal', { params: { query } }));
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }

  async show(refusedOnly: boolean): Promise<void> {
    this.refusedOnly = refusedOnly;
    await this.load();
  }
}

/** How a decision is called on screen. */
export const DECISION_WORDS: Record<JournalLine['decision'], string> = {
  ADDED: 'added',
  MERGED: 'merged',
  DUPLICATE: 'came again',
  REFUSED: 'refused',
};
