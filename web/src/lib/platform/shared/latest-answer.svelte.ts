import { Problem } from '../api/client';
import { LatestQuestion } from './latest-question';

/** Something that is read again whenever what it depends on changes: the latest answer, and why there is no newer one. */
export class LatestAnswer<T> {
  value = $state.raw<T | undefined>(undefined);
  problem = $state('');

  #question = new LatestQuestion();

  read(ask: () => Promise<T>): void {
    this.#question.ask(
      () =>
        ask().then(
          (value) => ({ value: value as T | undefined, problem: '' }),
          (e: unknown) => ({ value: this.value, problem: e instanceof Problem ? e.message : String(e) }),
        ),
      ({ value, problem }) => {
        this.value = value;
        this.problem = problem;
      },
    );
  }
}
