import { api, got, Problem, type Lane, type LogLine } from '../api/client';

export type LaneState = keyof typeof STATE_NAMES;

/** How the states of a contact at a service are called on screen. */
export const STATE_NAMES = {
  HELD: 'held',
  DUE: 'due',
  HANDED_OVER: 'handed over',
  ACCEPTED: 'accepted',
  CONFIRMED: 'confirmed',
  REFUSED: 'refused',
  CHANGED: 'changed',
  NOT_MEANT: 'not meant',
} as const;

export interface ServiceDraft {
  address?: string;
  account?: string;
  password?: string;
  atOnce?: boolean;
}

/** The services with their counts, handovers and problems. */
export class LaneStore {
  all = $state.raw<Lane[]>([]);
  problem = $state('');
  /** Lane id to the contacts that need the operator. */
  refused = $state<Record<number, LogLine[]>>({});
  held = $state<Record<number, LogLine[]>>({});
  /** Lane id to what the last fetch by hand found. */
  fetched = $state<Record<number, string>>({});
  fetching = $state<Record<number, boolean>>({});

  #loading = false;
  #again = false;

  /** Reads all lanes; while a read is under way, further wishes make one more. */
  async load(): Promise<void> {
    if (this.#loading) {
      this.#again = true;
      return;
    }
    this.#loading = true;
    try {
      do {
        this.#again = false;
        this.all = await got(api.GET('/api/services'));
        for (const lane of this.all) {
          await this.#loadProblems(lane);
        }
      } while (this.#again);
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    } finally {
      this.#loading = false;
    }
  }

  async handOver(id: number): Promise<void> {
    this.#put(await got(api.POST('/api/services/{id}/handovers', { params: { path: { id } } })));
  }

  async fetchNow(id: number): Promise<void> {
    this.fetching[id] = true;
    try {
      const result = await got(api.POST('/api/services/{id}/fetches', { params: { path: { id } } }));
      this.fetched[id] = result.sentence;
    } catch (e) {
      this.fetched[id] = e instanceof Problem ? e.message : String(e);
    } finally {
      this.fetching[id] = false;
    }
  }

  async change(id: number, draft: ServiceDraft): Promise<void> {
    this.#put(await got(api.PUT('/api/services/{id}', { params: { path: { id } }, body: draft })));
  }

  async install(id: number, file: File, passphrase: string): Promise<void> {
    const form = new FormData();
    form.set('file', file);
    form.set('passphrase', passphrase);
    const answer = await fetch(`/api/services/${id}/identities`, { method: 'POST', body: form });
    if (!answer.ok) {
      throw Problem.from(await answer.json().catch(() => undefined));
    }
    this.#put((await answer.json()) as Lane);
  }

  async setMeant(id: number, contactId: number, meant: boolean): Promise<void> {
    const params = { path: { id, contactId } };
    this.#put(await got(api.PUT('/api/services/{id}/contacts/{contactId}', { params, body: { meant } })));
    await this.load();
  }

  async #loadProblems(lane: Lane): Promise<void> {
    this.refused[lane.id] = await this.#contacts(lane, 'REFUSED');
    this.held[lane.id] = await this.#contacts(lane, 'HELD');
  }

  async #contacts(lane: Lane, state: 'REFUSED' | 'HELD'): Promise<LogLine[]> {
    if (!lane.counts[state]) {
      return [];
    }
    const params = { path: { id: lane.id }, query: { state } };
    return got(api.GET('/api/services/{id}/contacts', { params }));
  }

  #put(lane: Lane): void {
    this.all = this.all.map((l) => (l.id === lane.id ? lane : l));
  }
}
