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
  /** What the stream told while a question is on its way; its answer may be older. */
  #meanwhile: LogUpdate[] | undefined;

  constructor(read: LatestReader = readLatest) {
    this.#read = read;
  }

  async load(): Promise<void> {
    const request = ++this.#request;
    this.#meanwhile = [];
    try {
      const page = await this.#read();
      if (request === this.#request) {
        this.lines = page.lines;
        this.total = page.total;
        this.loaded = true;
        this.problem = '';
        this.#takeMeanwhile();
      }
    } catch (e) {
      if (request === this.#request) {
        this.problem = e instanceof Problem ? e.message : String(e);
        this.#takeMeanwhile();
      }
    }
  }

  #takeMeanwhile(): void {
    const told = this.#meanwhile ?? [];
    this.#meanwhile = undefined;
    told.forEach((news) => this.take(news));
  }

  /** Takes news from the event stream. */
  take(news: LogUpdate): void {
    this.total = news.total;
    if (news.more > 0 || news.gone.length > 0) {
      void this.load();
      return;
    }
    this.#meanwhile?.push(news);
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
