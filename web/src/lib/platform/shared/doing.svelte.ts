import { Problem } from '../api/client';

/** One thing at a time that a page does for a person who waits: what it is, what came of it, or why it failed. */
export class Doing {
  /** What is being done, in words; empty when nothing is. */
  busy = $state('');
  problem = $state('');
  /** What came of the last thing done. */
  notice = $state('');

  async during(words: string, work: () => Promise<unknown>): Promise<void> {
    this.busy = words;
    this.problem = '';
    this.notice = '';
    try {
      await work();
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    } finally {
      this.busy = '';
    }
  }
}
