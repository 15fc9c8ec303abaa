import { api, got, Problem, type NetRoster } from '../../platform/api/client';
import { Saving } from '../../platform/shared/saving.svelte';

/** The roster of a net, and who came to its latest sessions. */
export class RosterStore {
  view = $state.raw<NetRoster | undefined>(undefined);
  problem = $state('');
  readonly saving = new Saving();

  #path: { id: number };

  constructor(id: number) {
    this.#path = { id };
  }

  async load(): Promise<void> {
    try {
      this.view = await got(api.GET('/api/nets/{id}/roster', { params: { path: this.#path } }));
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }

  /** Adds a station, or names one that is there. */
  save(call: string, name: string): Promise<boolean> {
    return this.saving.during('member', async () => {
      const body = { call, name };
      this.view = await got(api.POST('/api/nets/{id}/roster', { params: { path: this.#path }, body }));
    });
  }

  /** Takes a station off until it checks in again. */
  remove(call: string): Promise<boolean> {
    return this.saving.during('member', async () => {
      const params = { path: this.#path, query: { call } };
      this.view = await got(api.DELETE('/api/nets/{id}/roster', { params }));
    });
  }
}
