import { api, got, Problem, type TextProgram, type TextProgramDraft } from '../../platform/api/client';

/** The programs that decode radioteletype. */
export class TextProgramStore {
  all = $state.raw<TextProgram[]>([]);
  problem = $state('');

  async load(): Promise<void> {
    try {
      this.all = await got(api.GET('/api/text-programs'));
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }

  /** Throws the Problem, so that the form can show it at its fields. */
  async save(id: number | undefined, body: TextProgramDraft): Promise<void> {
    this.all = await (id === undefined
      ? got(api.POST('/api/text-programs', { body }))
      : got(api.PUT('/api/text-programs/{id}', { params: { path: { id } }, body })));
  }

  async remove(id: number): Promise<void> {
    this.all = await got(api.DELETE('/api/text-programs/{id}', { params: { path: { id } } }));
  }
}
