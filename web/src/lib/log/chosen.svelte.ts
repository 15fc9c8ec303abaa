/** Which contacts of the log are chosen for something to be done to them: some, or all that the search finds. */
export class Chosen {
  ids = $state.raw<Set<number>>(new Set());
  all = $state(false);
  #found = $state(0);

  get size(): number {
    return this.all ? this.#found : this.ids.size;
  }

  has(id: number): boolean {
    return this.all || this.ids.has(id);
  }

  toggle(id: number): void {
    const ids = new Set(this.ids);
    if (!ids.delete(id)) {
      ids.add(id);
    }
    this.ids = ids;
    this.all = false;
  }

  add(more: Iterable<number>): void {
    this.ids = new Set([...this.ids, ...more]);
    this.all = false;
  }

  /** @param found how many contacts the search finds */
  chooseAll(found: number): void {
    this.all = true;
    this.#found = found;
    this.ids = new Set();
  }

  clear(): void {
    this.ids = new Set();
    this.all = false;
  }

  /** The choice as the server understands it. */
  selection(search: string): { ids?: number[]; search?: string } {
    return this.all ? { search } : { ids: [...this.ids] };
  }
}
