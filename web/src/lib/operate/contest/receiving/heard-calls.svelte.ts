import { api, got, type ContestCall } from '../../../platform/api/client';
import { LatestQuestion } from '../../../platform/shared/latest-question';
import type { Word } from './words';

/** Where the line is made. */
export interface Place {
  positionId?: number;
  frequency: string;
  mode: string;
}

const whole = (lines: Word[][]): Word[] => lines.flat().filter((word) => word.whole);

/** Which of the received words are calls, and what they bring in the contest; the server knows. */
export class HeardCalls {
  #calls = $state.raw<Map<string, ContestCall>>(new Map());
  #question = new LatestQuestion();
  #asked = '';

  /** What is known of a word; undefined when it is no call, or our own. */
  of(word: string): ContestCall | undefined {
    return this.#calls.get(word);
  }

  /**
   * Asks about words; of the same ones at the same place only once.
   *
   * @param state changes with whatever may change what a call brings
   */
  ask(bookId: number, lines: Word[][], place: Place, state: unknown): void {
    const words = [...new Set(whole(lines).map((word) => word.text))];
    const asked = JSON.stringify([bookId, words, place, state]);
    if (asked === this.#asked) return;
    this.#asked = asked;
    const body = { words, ...place };
    this.#question.ask(
      () => got(api.POST('/api/contest-books/{id}/line/heard', { params: { path: { id: bookId } }, body })),
      (calls) => (this.#calls = new Map(calls.map((one) => [one.call, one]))),
    );
  }

  /** The call that was received last and was not worked; where all were, the last of them. */
  newest(lines: Word[][]): string | undefined {
    const calls = whole(lines).filter((word) => this.of(word.text));
    return (calls.findLast((word) => !this.of(word.text)?.worth?.dupe) ?? calls.at(-1))?.text;
  }

  /** The part of an exchange that was received last: a word with a digit that is no call. */
  newestPart(lines: Word[][]): string | undefined {
    return whole(lines).findLast((word) => /^[A-Z]*\d[A-Z\d]*$/.test(word.text) && !this.of(word.text))?.text;
  }
}
