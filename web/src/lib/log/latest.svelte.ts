import { api, got, Problem, type LogLine, type LogUpdate } from '../platform/api/client';

const KEPT = 30;

/** Reads the newest lines of the log. */
export type LatestReader = () => Promise<{ lines: LogLine[]; total: number }>;

const readLatest: LatestReader = () => got(api.GET('/api/contacts', { params: { query: { limit: KEPT } } }));

/** The newest contacts of the log, and how many there are in all. */
export class LatestStore {
  lines = $state.raw<LogLine[]>([]);
  total = $state(0);
  loaded = $state(false);
  problem = $state('');

  #read: LatestReader;
  #request = 0;

  constructor(read: LatestReader = readLatest) {
    this.#read = read;
  }

  async load(): Promise<void> {
    const request = ++this.#request;
    try {
      const page = await this.#read();
      if (request === this.#request) {
        this.lines = page.lines;
        this.total = page.total;
        this.loaded = true;
        this.problem = '';
      }
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }

  /** Takes news from the event stream. */
  take(news: LogUpdate): void {
    this.total = news.total;
    if (news.more > 0 || news.gone.length > 0) {
      void this.load();
      return;
    }
    const byId = new Map(this.lines.map((line) => [line.id, line]));
    const last = this.lines.length >= KEPT ? this.lines.at(-1) : undefined;
    for (const line of news.changed) {
      if (byId.has(line.id)) {
        byId.set(line.id, line);
      }
    }
    for (const line of news.added) {
      if (!last || before(line, last)) {
        byId.set(line.id, line);
      }
    }
    this.lines = [...byId.values()].sort((a, b) => (before(a, b) ? -1 : 1)).slice(0, KEPT);
  }
}

/** Whether a line stands above another in the log's order: later first. */
function before(a: LogLine, b: LogLine): boolean {
  const order = Date.parse(a.start) - Date.parse(b.start);
  return order === 0 ? a.id > b.id : order > 0;
}
