import { api, got, Problem, type Hookup } from '../api/client';

/** All couplings, kept fresh by the event stream. */
export class HookupStore {
  all = $state.raw<Hookup[]>([]);
  problem = $state('');
  /** Coupling id to what its last test found. */
  proofs = $state<Record<string, { works: boolean; sentence: string } | undefined>>({});
  /** Coupling id while something is being done to it. */
  busy = $state<Record<string, boolean>>({});

  get sources(): Hookup[] {
    return this.all.filter((h) => h.kind !== 'SERVICE' && h.kind !== 'CLOCK' && h.kind !== 'COPY');
  }

  get services(): Hookup[] {
    return this.all.filter((h) => h.kind === 'SERVICE');
  }

  /** Feeds nothing, but everything depends on it. */
  get clock(): Hookup | undefined {
    return this.all.find((h) => h.kind === 'CLOCK');
  }

  /** Nothing feeds it but the log; seen only when it is in trouble. */
  get secondCopy(): Hookup | undefined {
    return this.all.find((h) => h.kind === 'COPY');
  }

  async load(): Promise<void> {
    try {
      this.all = await got(api.GET('/api/hookups'));
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }

  take(changed: Hookup): void {
    const known = this.all.some((h) => h.id === changed.id);
    this.all = known ? this.all.map((h) => (h.id === changed.id ? changed : h)) : [...this.all, changed];
  }

  gone(id: string): void {
    this.all = this.all.filter((h) => h.id !== id);
  }

  async test(id: string): Promise<void> {
    await this.#during(id, async () => {
      this.proofs[id] = await got(api.POST('/api/hookups/{id}/test', { params: { path: { id } } }));
    });
  }

  async setConnected(id: string, connected: boolean): Promise<void> {
    await this.#during(id, async () => {
      const path = connected ? '/api/hookups/{id}/connect' : '/api/hookups/{id}/disconnect';
      this.take(await got(api.POST(path, { params: { path: { id } } })));
      this.proofs[id] = undefined;
    });
  }

  async #during(id: string, action: () => Promise<void>): Promise<void> {
    this.busy[id] = true;
    try {
      await action();
    } catch (e) {
      this.proofs[id] = { works: false, sentence: e instanceof Problem ? e.message : String(e) };
    } finally {
      this.busy[id] = false;
    }
  }
}

/** How a state is called on screen. */
export const STATE_WORDS: Record<Hookup['state'], string> = {
  OFF: 'off',
  STARTING: 'starting',
  LIVE: 'live',
  QUIET: 'quiet',
  TROUBLE: 'trouble',
};
