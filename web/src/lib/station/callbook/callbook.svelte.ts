import {
  api,
  got,
  Problem,
  sendFile,
  type CallbookView,
  type ReferenceView,
} from '../../platform/api/client';
import { Saving } from '../../platform/shared/saving.svelte';
import { texts } from './texts';

/** Callbooks and where newer lists come from. */
export class CallbookStore {
  view = $state.raw<CallbookView | undefined>(undefined);
  reference = $state.raw<ReferenceView | undefined>(undefined);
  busy = $state('');
  problem = $state('');
  /** What came of the last thing done. */
  notice = $state('');
  readonly saving = new Saving();

  async load(): Promise<void> {
    await this.#doing('', async () => {
      [this.view, this.reference] = await Promise.all([
        got(api.GET('/api/callbook')),
        got(api.GET('/api/reference')),
      ]);
    });
  }

  save(
    field: string,
    body: {
      address?: string;
      account?: string;
      password?: string;
      clearPassword?: boolean;
      freshDays?: number;
    },
  ): Promise<boolean> {
    return this.saving.during(field, async () => {
      this.view = await got(api.PUT('/api/callbook', { body }));
    });
  }

  test(): Promise<void> {
    return this.#doing(texts.askingTheCallbook, async () => {
      const proof = await got(
        api.POST('/api/hookups/{id}/test', { params: { path: { id: this.view?.hookup ?? '' } } }),
      );
      if (!proof.works) {
        throw new Problem(proof.sentence);
      }
      this.notice = proof.sentence;
    });
  }

  takeFile(file: File): Promise<void> {
    return this.#doing(texts.readingTheFile, async () => {
      const { callbook, leftOut } = await sendFile<{ callbook: CallbookView; leftOut: number }>(
        '/api/callbook/file',
        file,
      );
      this.view = callbook;
      this.notice = leftOut === 0 ? 'Read.' : texts.readLinesWithoutACall(leftOut);
    });
  }

  dropFile(): Promise<void> {
    return this.#doing(texts.droppingTheFile, async () => {
      this.view = await got(api.DELETE('/api/callbook/file'));
    });
  }

  forgetAnswers(): Promise<void> {
    return this.#doing('Forgetting…', async () => {
      this.view = await got(api.DELETE('/api/callbook/answers'));
    });
  }

  saveReference(field: string, body: { address?: string; daily?: boolean }): Promise<boolean> {
    return this.saving.during(field, async () => {
      this.reference = await got(api.PUT('/api/reference', { body }));
    });
  }

  look(): Promise<void> {
    return this.#doing(texts.askingThePublisher, async () => {
      this.reference = await got(api.POST('/api/reference/look'));
    });
  }

  async #doing(words: string, work: () => Promise<void>): Promise<void> {
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
