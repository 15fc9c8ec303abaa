import { Problem } from '../api/client';

/** Which field of which thing on a page was saved last, or why it was not. */
type Saved = { key: string; problem?: Problem };

/** Keeps, for pages that save as one types, what was saved last and what was wrong with it. */
export class Saving {
  last = $state.raw<Saved | undefined>(undefined);

  /** Carries out a change and remembers how it went. */
  async during(key: string, change: () => Promise<unknown>): Promise<boolean> {
    try {
      await change();
      this.last = { key };
      return true;
    } catch (e) {
      this.last = { key, problem: e instanceof Problem ? e : new Problem(String(e)) };
      return false;
    }
  }

  saved(key: string): boolean {
    return this.last?.key === key && !this.last.problem;
  }

  /** Whether the thing saved last is one of those whose keys begin so. */
  savedAny(start: string): boolean {
    return this.last !== undefined && this.last.key.startsWith(start) && !this.last.problem;
  }

  /** What is wrong with a field of the thing last saved, if that is it; without a field, with the whole. */
  fault(key: string, field?: string): string {
    const problem = this.last?.key === key ? this.last.problem : undefined;
    if (!problem) {
      return '';
    }
    return field === undefined ? problem.message : (problem.fields.get(field) ?? '');
  }

  /** What is wrong with the thing last saved, unless it is said of one of its fields. */
  faultOfWhole(key: string): string {
    const problem = this.last?.key === key ? this.last.problem : undefined;
    return problem && problem.fields.size === 0 ? problem.message : '';
  }
}
