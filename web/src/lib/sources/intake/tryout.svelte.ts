import { api, got, Problem, sendFile, type Tryout, type TryoutOptions } from '../../platform/api/client';

const LOOK_EVERY_MS = 300;

/** How a log is uploaded; tests stand one in. */
export type Upload = (file: File) => Promise<Tryout>;

const upload: Upload = (file) => sendFile('/api/tryouts', file);

/** A log that is looked at, and then perhaps imported. */
export class TryoutStore {
  now = $state.raw<Tryout | undefined>(undefined);
  problem = $state.raw<Problem | undefined>(undefined);
  /** The host of a device that waits to be confirmed. */
  host = $state('');
  busy = $state(false);

  #upload: Upload;
  #everyMs: number;

  constructor(send: Upload = upload, everyMs = LOOK_EVERY_MS) {
    this.#upload = send;
    this.#everyMs = everyMs;
  }

  get underWay(): boolean {
    const state = this.now?.picture.state;
    return state === 'READING' || state === 'IMPORTING';
  }

  file(file: File): Promise<void> {
    return this.#begin(() => this.#upload(file));
  }

  path(path: string): Promise<void> {
    return this.#begin(() => got(api.POST('/api/tryouts/path', { body: { path } })));
  }

  /** The first time it only tells where the address leads; the second time, confirmed, it is fetched. */
  address(address: string): Promise<void> {
    return this.#begin(async () => {
      const body = { address, confirmed: this.host || undefined };
      const fetched = await got(api.POST('/api/tryouts/address', { body }));
      this.host = fetched.tryout ? '' : fetched.host;
      return fetched.tryout;
    });
  }

  async choose(options: TryoutOptions): Promise<void> {
    const id = this.now?.id;
    if (id !== undefined) {
      await this.#begin(() =>
        got(api.PUT('/api/tryouts/{id}/options', { params: { path: { id } }, body: options })),
      );
    }
  }

  async take(): Promise<void> {
    const id = this.now?.id;
    if (id !== undefined) {
      await this.#begin(() => got(api.POST('/api/tryouts/{id}/import', { params: { path: { id } } })));
    }
  }

  /** Ends what is under way; nothing under way, puts the file aside. */
  async cancel(): Promise<void> {
    const id = this.now?.id;
    if (id === undefined) {
      return;
    }
    const underWay = this.underWay;
    await api.DELETE('/api/tryouts/{id}', { params: { path: { id } } });
    if (!underWay) {
      this.now = undefined;
    }
  }

  async #begin(how: () => Promise<Tryout | undefined>): Promise<void> {
    this.busy = true;
    this.problem = undefined;
    try {
      this.now = (await how()) ?? this.now;
    } catch (e) {
      this.problem = e instanceof Problem ? e : new Problem(String(e));
    } finally {
      this.busy = false;
    }
    await this.#watch();
  }

  async #watch(): Promise<void> {
    while (this.now && this.underWay) {
      await new Promise((go) => setTimeout(go, this.#everyMs));
      const id = this.now?.id;
      if (id === undefined) {
        return;
      }
      try {
        this.now = await got(api.GET('/api/tryouts/{id}', { params: { path: { id } } }));
      } catch (e) {
        this.problem = e instanceof Problem ? e : new Problem(String(e));
        return;
      }
    }
  }
}
