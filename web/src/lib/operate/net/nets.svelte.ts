import { api, got, Problem, type MarkWords, type Net, type NetDraft } from '../../platform/api/client';
import { Saving } from '../../platform/shared/saving.svelte';

/** The nets as they are set up, with their latest sessions. */
export class NetStore {
  all = $state.raw<Net[] | undefined>(undefined);
  /** The words of the net sheet while they are being changed. */
  words = $state.raw<MarkWords | undefined>(undefined);
  problem = $state('');
  readonly saving = new Saving();

  #position: () => number | undefined;

  /** @param position where this browser is */
  constructor(position: () => number | undefined) {
    this.#position = position;
  }

  load(): Promise<void> {
    return this.#reading(async () => (this.all = await got(api.GET('/api/nets'))));
  }

  async #reading(read: () => Promise<unknown>): Promise<void> {
    try {
      await read();
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

  loadWords(): Promise<void> {
    return this.#reading(async () => (this.words = await got(api.GET('/api/nets/words'))));
  }

  saveWords(body: MarkWords): Promise<boolean> {
    return this.saving.during('words', async () => {
      await got(api.PUT('/api/nets/words', { body }));
      this.words = undefined;
    });
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
