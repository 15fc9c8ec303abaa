import { api, got, Problem, type LogLine } from '../api/client';
import type { LogNews } from '../live/live.svelte';

const PAGE = 200;

/** Reads one page of the log. */
export type PageReader = (
  call: string,
  below: string | undefined,
) => Promise<{ lines: LogLine[]; next?: string; total: number }>;

const readPage: PageReader = (call, below) =>
  got(api.GET('/api/contacts', { params: { query: { call: call || undefined, below, limit: PAGE } } }));

/**
 * The lines of the log that are loaded, the newest first. News go in at their place, unless the reader is looking further
 * down or pointing at a row: then they wait until asked for, so that nothing moves under the eye.
 */
export class LogStore {
  lines = $state.raw<LogLine[]>([]);
  waiting = $state.raw<LogLine[]>([]);
  total = $state(0);
  loading = $state(false);
  problem = $state('');
  search = $state('');

  #read: PageReader;
  #next: string | undefined;
  #request = 0;
  #holding = false;

  constructor(read: PageReader = readPage) {
    this.#read = read;
  }

  get complete(): boolean {
    return this.#next === undefined;
  }

  async load(): Promise<void> {
    await this.#fetch(undefined);
  }

  async loadMore(): Promise<void> {
    if (!this.loading && this.#next !== undefined) {
      await this.#fetch(this.#next);
    }
  }

  async find(call: string): Promise<void> {
    this.search = call;
    await this.load();
  }

  /** Takes news from the event stream. */
  take(news: LogNews): void {
    this.total = news.total;
    if (news.more > 0) {
      void this.load();
      return;
    }
    this.#replace(news.changed);
    const found = news.added.filter((line) => line.call.startsWith(this.search.trim().toUpperCase()));
    if (this.#holding && found.length > 0) {
      this.waiting = [...found, ...this.waiting];
    } else {
      this.#insert(found);
    }
  }

  /** While new rows would disturb the reader they wait; when they no longer would, they come in. */
  hold(holding: boolean): void {
    this.#holding = holding;
    if (!holding && this.waiting.length > 0) {
      this.showWaiting();
    }
  }

  /** Lets the waiting lines in. */
  showWaiting(): void {
    const waiting = this.waiting;
    this.waiting = [];
    this.#insert(waiting);
  }

  async #fetch(below: string | undefined): Promise<void> {
    const request = ++this.#request;
    this.loading = true;
    try {
      const page = await this.#read(this.search, below);
      if (request !== this.#request) {
        return; // a later search has overtaken this one
      }
      this.lines = below === undefined ? page.lines : [...this.lines, ...page.lines];
      this.waiting = below === undefined ? [] : this.waiting;
      this.#next = page.next;
      this.total = page.total;
      this.problem = '';
    } catch (e) {
      if (request === this.#request) {
        this.problem = e instanceof Problem ? e.message : String(e);
      }
    } finally {
      if (request === this.#request) {
        this.loading = false;
      }
    }
  }

  #replace(changed: LogLine[]): void {
    if (changed.length === 0) {
      return;
    }
    const byId = new Map(changed.map((line) => [line.id, line]));
    const renew = (line: LogLine) => byId.get(line.id) ?? line;
    this.lines = this.lines.map(renew);
    this.waiting = this.waiting.map(renew);
  }

  #insert(added: LogLine[]): void {
    const known = new Set(this.lines.map((line) => line.id));
    const last = this.lines.at(-1);
    // What belongs below the loaded part comes with its page.
    const fresh = added.filter(
      (line) => !known.has(line.id) && (this.complete || !last || before(line, last)),
    );
    if (fresh.length > 0) {
      this.lines = [...fresh, ...this.lines].sort((a, b) => (before(a, b) ? -1 : 1));
    }
  }
}

/** Whether a line stands above another in the log's order: later first. */
function before(a: LogLine, b: LogLine): boolean {
  const order = Date.parse(a.start) - Date.parse(b.start);
  return order === 0 ? a.id > b.id : order > 0;
}
