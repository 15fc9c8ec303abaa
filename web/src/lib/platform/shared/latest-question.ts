/**
 * Asks about something that is being typed: one question at a time; what is typed meanwhile is asked about afterwards. An answer
 * that is not about the latest any more is thrown away.
 */
export class LatestQuestion {
  #asking = false;
  #next: (() => void) | undefined;

  /** @param take gets the answer; a question that fails has none */
  ask<T>(question: () => Promise<T>, take: (answer: T) => void): void {
    if (this.#asking) {
      this.#next = () => this.ask(question, take);
      return;
    }
    this.#asking = true;
    question()
      .then((answer) => {
        if (!this.#next) take(answer);
      })
      .catch(() => {
        // What is typed can be sent off without knowing what it means.
      })
      .finally(() => {
        this.#asking = false;
        const next = this.#next;
        this.#next = undefined;
        next?.();
      });
  }

  /** Nothing is to be known any more. */
  drop(): void {
    if (this.#asking) this.#next = () => undefined;
  }
}
