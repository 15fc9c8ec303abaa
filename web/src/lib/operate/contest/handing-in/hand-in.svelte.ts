import { api, got, type Adjudicator, type AdjudicatorDraft, type HandIn } from '../../../platform/api/client';
import { AccountStore } from '../account/account.svelte';

/** The adjudicator, and what became there of the log of the open book. */
export class HandInStore extends AccountStore<Adjudicator, AdjudicatorDraft> {
  log = $state.raw<HandIn | undefined>(undefined);

  #bookId: number | undefined;

  async load(bookId: number): Promise<void> {
    if (this.#bookId !== bookId) {
      this.log = undefined;
      this.#bookId = bookId;
    }
    await this.doing(async () => {
      const params = { path: { id: bookId } };
      const [view, log] = await Promise.all([
        got(api.GET('/api/adjudicator')),
        got(api.GET('/api/contest-books/{id}/hand-in', { params })),
      ]);
      this.view = view;
      this.#keep(bookId, log);
    });
  }

  handIn(bookId: number): Promise<void> {
    const params = { path: { id: bookId } };
    return this.waiting(async () => {
      this.#keep(bookId, await got(api.POST('/api/contest-books/{id}/hand-in', { params })));
    });
  }

  /** Asks for the report now. */
  ask(bookId: number): Promise<void> {
    const params = { path: { id: bookId } };
    return this.waiting(async () => {
      this.#keep(bookId, await got(api.POST('/api/contest-books/{id}/hand-in/report', { params })));
    });
  }

  protected put(body: AdjudicatorDraft): Promise<Adjudicator> {
    return got(api.PUT('/api/adjudicator', { body }));
  }

  /** Meanwhile another book may have been opened. */
  #keep(bookId: number, log: HandIn): void {
    if (bookId === this.#bookId) this.log = log;
  }
}
