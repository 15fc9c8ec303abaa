/**
 * What the event stream tells of whenever it changes. An answer to a question of our own may come after what the stream told
 * meanwhile, and is the older one then: it must not take its place.
 */
export class StreamedValue<T> {
  value = $state.raw<T>() as T;
  #told = 0;

  constructor(initial: T) {
    this.value = initial;
  }

  /** The stream told of it. */
  take(value: T): void {
    this.#told++;
    this.value = value;
  }

  /** Takes the answer, unless the stream told of it while the question was on its way. */
  async ask(question: () => Promise<T>): Promise<void> {
    const before = this.#told;
    const answer = await question();
    if (this.#told === before) this.value = answer;
  }
}

type Id = string | number;

/** The same for a list of which the stream tells one by one, or all at once. */
export class StreamedList<T extends { id: Id }> {
  all = $state.raw<T[]>([]);
  #told = 0;
  #toldOfAll = 0;
  #toldOf = new Map<Id, number>();

  /** The stream told of all. */
  takeAll(all: T[]): void {
    this.#toldOfAll = ++this.#told;
    this.all = all;
  }

  /** The stream told of one; it stands last when it is new. */
  take(one: T): void {
    this.#toldOf.set(one.id, ++this.#told);
    this.#put(one);
  }

  /** The stream told that there is one no more. */
  gone(id: Id): void {
    this.#toldOf.set(id, ++this.#told);
    this.all = this.all.filter((known) => known.id !== id);
  }

  /** Takes the answer, but for those of which the stream told while the question was on its way. */
  async askAll(question: () => Promise<T[]>): Promise<void> {
    const before = this.#told;
    const answer = await question();
    if (this.#toldOfAll > before) return;
    const newer = (one: T) => (this.#toldOf.get(one.id) ?? 0) > before;
    const kept = this.all.filter(newer);
    const others = answer.map((one) => (newer(one) ? kept.find((known) => known.id === one.id) : one));
    const added = kept.filter((known) => !answer.some((one) => one.id === known.id));
    this.all = [...others.filter((one) => one !== undefined), ...added];
  }

  /** Takes the answer about one, unless the stream told of it while the question was on its way. */
  async ask(question: () => Promise<T>): Promise<void> {
    const before = this.#told;
    const answer = await question();
    if (this.#toldOfAll <= before && (this.#toldOf.get(answer.id) ?? 0) <= before) this.#put(answer);
  }

  #put(one: T): void {
    const known = this.all.some((other) => other.id === one.id);
    this.all = known ? this.all.map((other) => (other.id === one.id ? one : other)) : [...this.all, one];
  }
}
