import {
  api,
  got,
  Problem,
  type LastPost,
  type Scoreboard,
  type ScoreboardDraft,
  type ScoreByHand,
} from '../../../platform/api/client';
import { Saving } from '../../../platform/shared/saving.svelte';

/** How scores are posted to the scoreboard, and which was the last. */
export class BoardStore {
  view = $state.raw<Scoreboard | undefined>(undefined);
  lastPost = $state.raw<LastPost | undefined>(undefined);
  problem = $state('');
  /** What came of the last test. */
  notice = $state('');
  busy = $state(false);
  readonly saving = new Saving();

  /** Whether there is one to post to. */
  get complete(): boolean {
    return !!this.view?.address && !!this.view.account && this.view.hasPassword;
  }

  load(bookId: number): Promise<void> {
    return this.#doing(async () => {
      [this.view, this.lastPost] = await Promise.all([
        got(api.GET('/api/scoreboard')),
        got(api.GET('/api/scoreboard/last-post', { params: { query: { book: bookId } } })),
      ]);
    });
  }

  save(field: string, body: ScoreboardDraft): Promise<boolean> {
    this.notice = '';
    return this.saving.during(field, async () => {
      this.view = await got(api.PUT('/api/scoreboard', { body }));
    });
  }

  async test(): Promise<void> {
    this.busy = true;
    this.notice = '';
    await this.#doing(async () => {
      const params = { path: { id: this.view?.hookup ?? '' } };
      const proof = await got(api.POST('/api/hookups/{id}/test', { params }));
      if (!proof.works) throw new Problem(proof.sentence);
      this.notice = proof.sentence;
    });
    this.busy = false;
  }

  postByHand(body: ScoreByHand): Promise<boolean> {
    return this.saving.during('by-hand', () => got(api.POST('/api/scoreboard/by-hand', { body })));
  }

  async #doing(what: () => Promise<unknown>): Promise<void> {
    try {
      await what();
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }
}
