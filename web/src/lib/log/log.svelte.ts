import { api, got, Problem, type LogLine, type LogUpdate } from '../platform/api/client';

export const PAGE = 100;
const TELL_AFTER_MS = 120;

export interface Sort {
  field: string;
  descending: boolean;
}

export const NEWEST_FIRST: Sort = { field: 'START', descending: true };

/** What is asked of the server. */
export interface RowsAsked {
  search: string;
  sort: Sort;
  columns: string[];
  from: number;
  limit: number;
  anchor?: number;
}

export interface RowsAnswer {
  lines: LogLine[];
  from: number;
  found: number;
  total: number;
  anchorPlace?: number;
  problems: string[];
}

export type RowsReader = (asked: RowsAsked) => Promise<RowsAnswer>;

const readRows: RowsReader = ({ search, sort, columns, from, limit, anchor }) =>
  got(
    api.GET('/api/log/rows', {
      params: {
        query: { search, sort: sort.field, descending: sort.descending, columns, from, limit, anchor },
      },
    }),
  );

/**
 * The rows of the log a search found, by their place: only the pages somebody looked at are here. While the reader looks
 * further down, or points at a row, what is new waits until asked for, so that nothing moves under the eye.
 */
export class LogStore {
  search = $state('');
  sort = $state.raw<Sort>(NEWEST_FIRST);
  /** ADIF names of the fields shown besides the usual ones. */
  columns = $state.raw<string[]>([]);
  rows = $state.raw<Map<number, LogLine>>(new Map());
  found = $state(0);
  total = $state(0);
  loading = $state(true);
  /** How many contacts came in above while the reader looked elsewhere. */
  waiting = $state(0);
  problem = $state('');
  /** Words of the search that were not understood. */
  notUnderstood = $state.raw<string[]>([]);
  /** Counts up when the contacts found may be others, for counts that stand beside. */
  edition = $state(0);

  #read: RowsReader;
  #asked = new Set<number>();
  #generation = 0;
  /** Which generation the rows are of: the first page that answers to a new one, whichever it is, replaces the old rows. */
  #shown = -1;
  #holding = false;
  /** How much further down the rows stand at the server than here, while news wait. */
  #shift = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #view = { first: 0, end: PAGE };
  /** The rows are asked for again because of news, not because somebody wants others. */
  #quiet = false;
  /** Rows are not as they are at the server, and stay so while the reader holds them. */
  #behind = false;
  /** What the stream told of lines while questions are on their way; their answers may be older. */
  #told = new Map<number, LogLine>();
  #underWay = 0;
  #watchers = 0;
  /** Rows came, went or moved while nobody looked. */
  #stale = false;

  constructor(read: RowsReader = readRows) {
    this.#read = read;
  }

  /** Begins anew with another search. */
  find(search: string): void {
    this.search = search;
    this.reload();
  }

  sortBy(sort: Sort): void {
    this.sort = sort;
    this.reload();
  }

  show(columns: string[]): void {
    this.columns = columns;
    this.reload();
  }

  /** Asks for everything again; what is on screen stays until the answer is there. */
  reload(): void {
    this.loading = true;
    this.#again(false);
  }

  #again(quiet: boolean): void {
    // Somebody who waits for other rows gets them, whatever is new meanwhile.
    this.#quiet = quiet && !this.loading;
    this.#stale = false;
    this.#behind = false;
    this.#generation++;
    this.#asked.clear();
    this.#shift = 0;
    this.waiting = 0;
    this.#fetch(Math.floor(this.#view.first / PAGE));
  }

  /** Keeps the rows up to date as long as somebody looks at them; returns what ends that. */
  watch(): () => void {
    this.#watchers++;
    if (this.#stale) {
      this.reload();
    }
    return () => {
      this.#watchers--;
    };
  }

  /** Says which places are on screen; their pages are fetched if they are not here yet. */
  look(first: number, end: number): void {
    this.#view = { first, end };
    for (let page = Math.floor(first / PAGE); page * PAGE < Math.min(end, this.found); page++) {
      this.#fetch(page);
    }
  }

  at(place: number): LogLine | undefined {
    return this.rows.get(place);
  }

  /** Of those that are here. */
  byId(id: number): LogLine | undefined {
    return [...this.rows.values()].find((line) => line.id === id);
  }

  /** Whether the contact at a place is of another day than the one above, in an order by time. */
  startsDay(place: number): boolean {
    const day = this.at(place)?.start.slice(0, 10);
    const above = this.at(place - 1)?.start.slice(0, 10);
    return this.sort.field !== 'START' || !day || !above || above !== day;
  }

  /** Takes news from the event stream. */
  take(news: LogUpdate): void {
    this.total = news.total;
    if (news.changed.length > 0) {
      const byId = new Map(news.changed.map((line) => [line.id, line]));
      this.rows = new Map([...this.rows].map(([place, line]) => [place, renewed(line, byId)]));
      if (this.#underWay > 0) byId.forEach((line, id) => this.#told.set(id, line));
    }
    if (news.added.length === 0 && news.gone.length === 0 && news.more === 0) {
      return;
    }
    if (this.#watchers === 0) {
      this.#stale = true;
    } else {
      clearTimeout(this.#timer);
      this.#timer = setTimeout(() => void this.#catchUp(), TELL_AFTER_MS);
    }
  }

  /** While new rows would disturb the reader they wait; when they no longer would, they come in. */
  hold(holding: boolean): void {
    this.#holding = holding;
    if (!holding && this.#behind) {
      this.#again(true);
    }
  }

  async #catchUp(): Promise<void> {
    if (!this.#holding) {
      this.#again(true);
      return;
    }
    this.#behind = true;
    const anchor = this.rows.get(this.#view.first) ?? [...this.rows.values()][0];
    const place = [...this.rows].find(([, line]) => line.id === anchor?.id)?.[0];
    const generation = this.#generation;
    try {
      const answer = await this.#read({ ...this.#question(0, 0), anchor: anchor?.id });
      if (generation !== this.#generation) {
        return;
      }
      if (answer.anchorPlace === undefined || place === undefined) {
        this.reload();
        return;
      }
      this.#shift = answer.anchorPlace - place;
      this.waiting = Math.max(0, answer.found - this.found);
      this.edition++;
    } catch {
      // The stream tells when the server is there again, and everything is read afresh.
    }
  }

  #question(from: number, limit: number): RowsAsked {
    return { search: this.search, sort: this.sort, columns: this.columns, from, limit };
  }

  #fetch(page: number): void {
    if (this.#asked.has(page)) {
      return;
    }
    this.#asked.add(page);
    this.#underWay++;
    void this.#fetchPage(page, this.#generation).finally(() => {
      if (--this.#underWay === 0) this.#told.clear();
    });
  }

  /** The reader came to the rows while others were on their way: those that stand there stay. */
  #keep(): void {
    this.#shown = this.#generation;
    this.#asked = new Set([...this.rows.keys()].map((place) => Math.floor(place / PAGE)));
    void this.#catchUp();
  }

  async #fetchPage(page: number, generation: number): Promise<void> {
    try {
      const answer = await this.#read(this.#question(page * PAGE + this.#shift, PAGE));
      if (generation !== this.#generation) {
        return; // a later search has overtaken this one
      }
      const anew = this.#shown !== generation;
      if (anew && this.#quiet && this.#holding) {
        this.#keep();
        return;
      }
      this.#shown = generation;
      const rows = anew ? new Map<number, LogLine>() : new Map(this.rows);
      answer.lines.forEach((line, i) => rows.set(page * PAGE + i, renewed(line, this.#told)));
      this.rows = rows;
      if (anew) {
        this.found = answer.found;
        this.loading = false;
        this.edition++;
      }
      this.total = answer.total;
      this.notUnderstood = answer.problems;
      this.problem = '';
      if (anew) {
        this.look(this.#view.first, this.#view.end);
      }
    } catch (e) {
      if (generation === this.#generation) {
        this.#asked.delete(page);
        this.loading = false;
        this.problem = e instanceof Problem ? e.message : String(e);
      }
    }
  }
}

/** A line with what was told of it since. */
function renewed(line: LogLine, told: Map<number, LogLine>): LogLine {
  const later = told.get(line.id);
  return later ? { ...later, more: line.more } : line;
}
