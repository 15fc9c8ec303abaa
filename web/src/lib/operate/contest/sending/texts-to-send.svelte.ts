import { api, got, Problem, type ContestText } from '../../../platform/api/client';
import { Saving } from '../../../platform/shared/saving.svelte';

/** The texts to send in contests, which are the same for the whole station. */
export class TextStore {
  all = $state.raw<ContestText[] | undefined>(undefined);
  problem = $state('');
  readonly saving = new Saving();

  async load(): Promise<void> {
    try {
      this.all = await got(api.GET('/api/contest-texts'));
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }

  /** What is said there; empty where nothing is. */
  text(way: ContestText['way'], slot: ContestText['slot']): string {
    return this.all?.find((one) => one.way === way && one.slot === slot)?.text ?? '';
  }

  write(way: ContestText['way'], slot: ContestText['slot'], text: string): Promise<boolean> {
    return this.saving.during(`${way}-${slot}`, async () => {
      const params = { path: { way, slot } };
      this.all = await got(api.PUT('/api/contest-texts/{way}/{slot}', { params, body: { text } }));
    });
  }
}
