import { api, got, Problem, type ConsoleLine, type Feed, type FeedDraft } from '../../platform/api/client';
import { texts } from './texts';

const MAX_LINES = 400;

/** Cluster nodes and skimmer feeds. */
export class FeedStore {
  all = $state.raw<Feed[]>([]);
  problem = $state('');

  async load(): Promise<void> {
    try {
      this.all = await got(api.GET('/api/feeds'));
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : texts.yokebarDoesNotAnswer;
    }
  }

  /** Throws the Problem, so that the form can show it at its fields. */
  async save(id: number | undefined, body: FeedDraft): Promise<void> {
    this.all = await (id === undefined
      ? got(api.POST('/api/feeds', { body }))
      : got(api.PUT('/api/feeds/{id}', { params: { path: { id } }, body })));
  }

  async remove(id: number): Promise<void> {
    this.all = await got(api.DELETE('/api/feeds/{id}', { params: { path: { id } } }));
  }
}

/** What goes over one feed, line by line. */
export class ConsoleStore {
  lines = $state.raw<ConsoleLine[]>([]);
  problem = $state('');
  /** Why what was typed last was not said. */
  failure = $state('');

  constructor(private id: number) {}

  async load(): Promise<void> {
    const after = this.lines.at(-1)?.number ?? 0;
    try {
      const { lines } = await got(
        api.GET('/api/feeds/{id}/console', { params: { path: { id: this.id }, query: { after } } }),
      );
      this.#add(lines);
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : texts.yokebarDoesNotAnswer;
    }
  }

  async say(line: string): Promise<boolean> {
    try {
      await got(api.POST('/api/feeds/{id}/say', { params: { path: { id: this.id } }, body: { line } }));
      this.failure = '';
      await this.load();
      return true;
    } catch (e) {
      this.failure =
        e instanceof Problem ? ([...e.fields.values()][0] ?? e.message) : texts.yokebarDoesNotAnswer;
      return false;
    }
  }

  #add(lines: ConsoleLine[]): void {
    if (lines.length > 0) {
      const last = this.lines.at(-1)?.number ?? 0;
      this.lines = [...this.lines, ...lines.filter((line) => line.number > last)].slice(-MAX_LINES);
    }
  }
}
