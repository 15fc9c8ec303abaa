import { api, got, Problem, type LogChange } from '../../platform/api/client';

/** What was done to the log lately, what is under way, and taking it back. */
export class ChangeStore {
  all = $state.raw<LogChange[]>([]);
  /** What this page began last; it is shown until something else is, or it is dismissed. */
  shown = $state.raw<LogChange | undefined>(undefined);
  problem = $state('');

  async load(): Promise<void> {
    try {
      this.all = await got(api.GET('/api/changes'));
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }

  /** Takes news from the event stream. */
  take(change: LogChange): void {
    const known = this.all.some((c) => c.id === change.id);
    this.all = known ? this.all.map((c) => (c.id === change.id ? change : c)) : [change, ...this.all];
    if (change.undoes !== undefined) {
      this.all = this.all.map((c) => (c.id === change.undoes ? { ...c, undoneBy: change.id } : c));
    }
    if (this.shown?.id === change.id) {
      this.shown = change;
    }
  }

  /** Begins something and shows how far it is. */
  async begin(answer: Promise<LogChange>): Promise<void> {
    try {
      const change = await answer;
      this.take(this.all.find((c) => c.id === change.id) ?? change);
      this.shown = this.all.find((c) => c.id === change.id);
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }

  /** Shows what this page has just done to a contact, so that it can be taken back in place. */
  async showEdit(edit: () => Promise<unknown>): Promise<void> {
    const before = Math.max(0, ...this.all.map((c) => c.id));
    await edit();
    await this.load();
    this.shown = this.all.find((c) => c.id > before && c.kind === 'EDITED' && c.undoes === undefined);
  }

  /** The last thing somebody did that can be taken back; merges happen by themselves and have an undo of their own. */
  get undoable(): LogChange | undefined {
    return this.all.find(
      (c) =>
        c.undoneBy === undefined && c.undoes === undefined && c.state !== 'RUNNING' && c.kind !== 'MERGED',
    );
  }

  async undo(id: number | undefined): Promise<void> {
    if (id !== undefined) {
      await this.begin(got(api.POST('/api/changes/{id}/undo', { params: { path: { id } } })));
    }
  }

  async cancel(id: number): Promise<void> {
    try {
      await got(api.POST('/api/changes/{id}/cancel', { params: { path: { id } } }));
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }

  dismiss(): void {
    this.shown = undefined;
    this.problem = '';
  }
}
