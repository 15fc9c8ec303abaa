import { api, got, type Adjudicator, type AdjudicatorDraft, type HandIn } from '../../../platform/api/client';
import { AccountStore } from '../account/account.svelte';

/** The adjudicator, and what became there of the log of the open book. */
export class HandInStore extends AccountStore<Adjudicator, AdjudicatorDraft> {
  log = $state.raw<HandIn | undefined>(undefined);

  #bookId: number | undefined;
  /** Counts what was asked: an answer to an earlier question may be what was there before. */
  #asked = 0;

  async load(bookId: number): Promise<void> {
    if (this.#bookId !== bookId) {
      this.log = undefined;
      this.failure = '';
      this.#bookId = bookId;
    }
    const params = { path: { id: bookId } };
    await this.reading(async () => {
      const [view] = await Promise.all([
        got(api.GET('/api/adjudicator')),
        this.#read(got(api.GET('/api/contest-books/{id}/hand-in', { params }))),
      ]);
      this.view = view;
    });
  }

  handIn(bookId: number): Promise<void> {
    const params = { path: { id: bookId } };
    return this.waiting(() => this.#read(got(api.POST('/api/contest-books/{id}/hand-in', { params }))));
  }

  /** Asks for the report now. */
  ask(bookId: number): Promise<void> {
    const params = { path: { id: bookId } };
    return this.waiting(() =>
      this.#read(got(api.POST('/api/contest-books/{id}/hand-in/report', { params }))),
    );
  }

  async #read(answer: Promise<HandIn>): Promise<void> {
    const question = ++this.#asked;
    const log = await answer;
    if (question === this.#asked) this.log = log;
  }

  protected put(body: AdjudicatorDraft): Promise<Adjudicator> {
    return got(api.PUT('/api/adjudicator', { body }));
  }
}
