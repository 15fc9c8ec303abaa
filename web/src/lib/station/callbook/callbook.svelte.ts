import { api, got, Problem, sendFile, type CallbookView } from '../../platform/api/client';
import { Doing } from '../../platform/shared/doing.svelte';
import { Saving } from '../../platform/shared/saving.svelte';
import { texts } from './texts';

/** The callbook on the network and the one in a file. */
export class CallbookStore {
  view = $state.raw<CallbookView | undefined>(undefined);
  readonly doing = new Doing();
  readonly saving = new Saving();

  load(): Promise<void> {
    return this.doing.during('', async () => {
      this.view = await got(api.GET('/api/callbook'));
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
    return this.doing.during(texts.askingTheCallbook, async () => {
      const proof = await got(
        api.POST('/api/hookups/{id}/test', { params: { path: { id: this.view?.hookup ?? '' } } }),
      );
      if (!proof.works) {
        throw new Problem(proof.sentence);
      }
      this.doing.notice = proof.sentence;
    });
  }

  takeFile(file: File): Promise<void> {
    return this.doing.during(texts.readingTheFile, async () => {
      const { callbook, leftOut } = await sendFile<{ callbook: CallbookView; leftOut: number }>(
        '/api/callbook/file',
        file,
      );
      this.view = callbook;
      this.doing.notice = leftOut === 0 ? 'Read.' : texts.readLinesWithoutACall(leftOut);
    });
  }

  dropFile(): Promise<void> {
    return this.doing.during(texts.droppingTheFile, async () => {
      this.view = await got(api.DELETE('/api/callbook/file'));
    });
  }

  forgetAnswers(): Promise<void> {
    return this.doing.during('Forgetting…', async () => {
      this.view = await got(api.DELETE('/api/callbook/answers'));
    });
  }
}
