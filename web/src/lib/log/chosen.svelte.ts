import { api, got } from '../platform/api/client';
import type { LogStore } from './log.svelte';

/** Which contacts of the log are chosen for something to be done to them: some, or all that the search finds but some. */
export class Chosen {
  ids = $state.raw<Set<number>>(new Set());
  all = $state(false);
  #except = $state.raw<Set<number>>(new Set());
  #found = $state(0);

  get size(): number {
    return this.all ? Math.max(0, this.#found - this.#except.size) : this.ids.size;
  }

  /** All, without exception. */
  get whole(): boolean {
    return this.all && this.#except.size === 0;
  }

  has(id: number): boolean {
    return this.all ? !this.#except.has(id) : this.ids.has(id);
  }

  toggle(id: number): void {
    const others = new Set(this.all ? this.#except : this.ids);
    if (!others.delete(id)) {
      others.add(id);
    }
    this.#put(others);
  }

  add(more: Iterable<number>): void {
    const others = new Set(this.all ? this.#except : this.ids);
    for (const id of more) {
      if (this.all) others.delete(id);
      else others.add(id);
    }
    this.#put(others);
  }

  /** Chooses all between two places of the log, both included. */
  async addRange({ search, sort }: LogStore, from: number, to: number): Promise<void> {
    const query = {
      search,
      sort: sort.field,
      descending: sort.descending,
      from: Math.min(from, to),
      limit: Math.abs(from - to) + 1,
    };
    this.add(await got(api.GET('/api/log/ids', { params: { query } })));
  }

  #put(others: Set<number>): void {
    if (this.all) this.#except = others;
    else this.ids = others;
  }

  /** @param found how many contacts the search finds */
  chooseAll(found: number): void {
    this.clear();
    this.all = true;
    this.#found = found;
  }

  clear(): void {
    this.ids = new Set();
    this.#except = new Set();
    this.all = false;
  }

  /** The choice as the server understands it. */
  selection(search: string): { ids?: number[]; search?: string; except?: number[] } {
    return this.all ? { search, except: [...this.#except] } : { ids: [...this.ids] };
  }

  /** The ids of those chosen, at most so many. */
  async firstIds(search: string, most: number): Promise<number[]> {
    if (!this.all) {
      return [...this.ids].slice(0, most);
    }
    const query = { search, limit: most + this.#except.size };
    const found = await got(api.GET('/api/log/ids', { params: { query } }));
    return found.filter((id) => !this.#except.has(id)).slice(0, most);
  }
}
