import { api, got, Problem, type Net, type NetDraft } from '../../platform/api/client';
import { Saving } from '../../platform/shared/saving.svelte';

/** The nets as they are set up, with their latest sessions. */
export class NetStore {
  all = $state.raw<Net[] | undefined>(undefined);
  problem = $state('');
  readonly saving = new Saving();

  #position: () => number | undefined;

  /** @param position where this browser is */
  constructor(position: () => number | undefined) {
    this.#position = position;
  }

  async load(): Promise<void> {
    try {
      this.all = await got(api.GET('/api/nets'));
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }

  /** Which sessions run, as the event stream says; the list is read again when others do than it shows. */
  takeRunning(ids: number[]): void {
    const shown = (this.all ?? [])
      .flatMap((net) => net.sessions)
      .filter((session) => session.endedAt === undefined)
      .map((session) => session.id);
    if (ids.length !== shown.length || ids.some((id) => !shown.includes(id))) void this.load();
  }

  save(id: number | undefined, body: NetDraft): Promise<boolean> {
    return this.saving.during(`net-${id ?? 'new'}`, async () => {
      this.all = await (id === undefined
        ? got(api.POST('/api/nets', { body }))
        : got(api.PUT('/api/nets/{id}', { params: { path: { id } }, body })));
    });
  }

  remove(id: number): Promise<boolean> {
    return this.saving.during(`net-${id}`, async () => {
      this.all = await got(api.DELETE('/api/nets/{id}', { params: { path: { id } } }));
    });
  }

  /** Starts a session, or goes on with the one that runs; gives its id. */
  async start(id: number): Promise<number> {
    const positionId = this.#position();
    const query = positionId === undefined ? {} : { positionId };
    const sheet = await got(api.POST('/api/nets/{id}/sessions', { params: { path: { id }, query } }));
    await this.load();
    return sheet.id;
  }
}
