import {
  api,
  got,
  Problem,
  sendFile,
  type ContestBook,
  type ContestBookDraft,
  type ContestDefinition,
  type ImportResult,
} from '../../platform/api/client';
import { Saving } from '../../platform/shared/saving.svelte';

/** The contest books, and the contests of which one can be begun. */
export class BookStore {
  all = $state.raw<ContestBook[] | undefined>(undefined);
  definitions = $state.raw<ContestDefinition[] | undefined>(undefined);
  problem = $state('');
  readonly saving = new Saving();

  async load(): Promise<void> {
    try {
      this.all = await got(api.GET('/api/contest-books'));
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }

  async loadDefinitions(): Promise<void> {
    try {
      this.definitions = await got(api.GET('/api/contest-definitions'));
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }

  /** Begins a book; gives its id, or undefined when something has to be corrected first. */
  async begin(body: ContestBookDraft): Promise<number | undefined> {
    let id: number | undefined;
    await this.saving.during('book-new', async () => {
      id = (await got(api.POST('/api/contest-books', { body }))).id;
      await this.load();
    });
    return id;
  }

  correct(id: number, body: ContestBookDraft): Promise<boolean> {
    return this.saving.during(`book-${id}`, async () => {
      await got(api.PUT('/api/contest-books/{id}', { params: { path: { id } }, body }));
      await this.load();
    });
  }

  /** Imports a log file into a book; undefined when it is no log. */
  async importFile(id: number, file: File): Promise<ImportResult | undefined> {
    let result: ImportResult | undefined;
    await this.saving.during(`import-${id}`, async () => {
      result = await sendFile<ImportResult>(`/api/imports?contestBook=${id}`, file);
    });
    return result;
  }

  remove(id: number): Promise<boolean> {
    return this.saving.during(`book-${id}`, async () => {
      this.all = await got(api.DELETE('/api/contest-books/{id}', { params: { path: { id } } }));
    });
  }
}
