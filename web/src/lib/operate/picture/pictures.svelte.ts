import {
  api,
  got,
  Problem,
  type PictureDetails,
  type PicturePage,
  type PictureSettings,
  type PictureUpdate,
  type ReceivedPicture,
} from '../../platform/api/client';
import { StreamedValue } from '../../platform/live/streamed.svelte';
import { Saving } from '../../platform/shared/saving.svelte';

export type PictureState = ReceivedPicture['state'];

/** What a picture can be attached to: a contact in the log, or the call of the one under way. */
export type AttachTarget = { contactId: number } | { call: string };

const PAGE_SIZE = 100;

/** The received pictures in one state, the one that is chosen, and the folders they come from. */
export class PictureStore {
  state = $state<PictureState>('WAITING');
  order = $state<'TIME' | 'STATION'>('TIME');
  /** Only stations whose call contains this. */
  call = $state('');
  page = $state.raw<PicturePage | undefined>(undefined);
  chosenId = $state<number | undefined>(undefined);
  settings = $state.raw<PictureSettings | undefined>(undefined);
  problem = $state('');
  readonly saving = new Saving();

  #updates = new StreamedValue<PictureUpdate | undefined>(undefined);
  /** Where the chosen picture stood in the list last. */
  #at = -1;
  #read = $state.raw<PictureDetails | undefined>(undefined);
  #loading: Promise<void> | undefined;
  #stale = false;

  get pictures(): ReceivedPicture[] {
    return this.page?.pictures ?? [];
  }

  /** How the pictures stand as a whole. */
  get update(): PictureUpdate | undefined {
    return this.#updates.value;
  }

  /** Whether all is known of the chosen picture, and not only what the list says. */
  get complete(): boolean {
    return this.chosenId !== undefined && this.#read?.picture.id === this.chosenId;
  }

  /** The chosen picture: never another one, whatever is still being read. */
  get details(): PictureDetails | undefined {
    if (this.complete) return this.#read;
    const picture = this.pictures.find(({ id }) => id === this.chosenId);
    return picture && { picture, likely: [], sent: false };
  }

  takeUpdate(update: PictureUpdate): void {
    this.#updates.take(update);
  }

  /** The latest picture about which nothing was decided yet. */
  get latest(): ReceivedPicture | undefined {
    return this.update?.latest;
  }

  /** Reads as many pictures as are shown already, at least a page and at most a thousand. One reading at a time; the last question counts. */
  load(): Promise<void> {
    if (this.#loading) {
      this.#stale = true;
    }
    this.#loading ??= this.#readAll().finally(() => (this.#loading = undefined));
    return this.#loading;
  }

  async #readAll(): Promise<void> {
    do {
      this.#stale = false;
      await this.#act(async () => {
        const page = await this.#readPage(0, Math.max(PAGE_SIZE, this.pictures.length));
        if (!this.#stale) this.page = page;
      });
      await this.#followChoice();
    } while (this.#stale);
  }

  #readPage(offset: number, size: number): Promise<PicturePage> {
    const { state, order, call } = this;
    return got(api.GET('/api/pictures', { params: { query: { state, order, call, offset, size } } }));
  }

  /** Reads the pictures that follow those shown. */
  async more(): Promise<void> {
    const page = this.page;
    if (!page || this.#loading || page.pictures.length >= page.total) return;
    await this.#act(async () => {
      const next = await this.#readPage(page.pictures.length, PAGE_SIZE);
      // One that was received meanwhile moves the others on, so that some come twice.
      const others = next.pictures.filter(({ id }) => page.pictures.every((shown) => shown.id !== id));
      if (this.page === page) this.page = { ...next, pictures: [...page.pictures, ...others] };
    });
  }

  /** Shows other pictures, from the first one on. */
  async show(what: { state?: PictureState; order?: 'TIME' | 'STATION'; call?: string }): Promise<void> {
    Object.assign(this, what);
    this.page = undefined;
    this.chosenId = undefined;
    await this.load();
  }

  async loadUpdate(): Promise<void> {
    await this.#act(() => this.#updates.ask(() => got(api.GET('/api/pictures/update'))));
  }

  async loadSettings(): Promise<void> {
    await this.#act(async () => (this.settings = await got(api.GET('/api/pictures/settings'))));
  }

  saveSettings(change: Partial<PictureSettings>): Promise<boolean> {
    const body = { folder: '', replyFolder: '', ...this.settings, ...change };
    return this.saving.during(Object.keys(change)[0] ?? '', async () => {
      this.settings = await got(api.PUT('/api/pictures/settings', { body }));
    });
  }

  async choose(id: number | undefined): Promise<void> {
    this.chosenId = id;
    this.#at = this.#indexOf(id);
    await this.loadDetails();
  }

  /** Moves the choice by so many pictures. */
  async move(by: number): Promise<void> {
    const at = this.#indexOf(this.chosenId);
    const last = this.pictures.length - 1;
    const next = at < 0 ? 0 : Math.max(0, Math.min(last, at + by));
    await this.choose(this.pictures[next]?.id);
    if (next >= last) void this.more();
  }

  async loadDetails(): Promise<void> {
    const id = this.chosenId;
    if (id === undefined) return;
    await this.#act(async () => {
      const details = await got(api.GET('/api/pictures/{id}', { params: { path: { id } } }));
      if (id === this.chosenId) this.#read = details;
    });
  }

  attach(id: number, target: AttachTarget): Promise<boolean> {
    return this.#change(
      (path) => api.POST('/api/pictures/{id}/attach', { params: { path }, body: target }),
      id,
    );
  }

  detach(id: number): Promise<boolean> {
    return this.#change((path) => api.POST('/api/pictures/{id}/detach', { params: { path } }), id);
  }

  send(id: number): Promise<boolean> {
    return this.#change((path) => api.POST('/api/pictures/{id}/send', { params: { path } }), id);
  }

  setState(id: number, state: PictureState): Promise<boolean> {
    return this.#change(
      (path) => api.PUT('/api/pictures/{id}/state', { params: { path }, body: { state } }),
      id,
    );
  }

  note(id: number, note: string): Promise<boolean> {
    return this.#change(
      (path) => api.PUT('/api/pictures/{id}/note', { params: { path }, body: { note } }),
      id,
    );
  }

  async #change(
    change: (path: { id: number }) => Promise<{ data?: PictureDetails; error?: unknown }>,
    id: number,
  ): Promise<boolean> {
    await this.#act(async () => {
      const details = await got(change({ id }));
      if (id === this.chosenId) this.#read = details;
    });
    const good = this.problem === '';
    if (good) await this.load();
    return good;
  }

  /** A picture that left the list makes the one in its place the chosen one, so that one goes on with the next. */
  async #followChoice(): Promise<void> {
    if (this.chosenId === undefined) return;
    const at = this.#indexOf(this.chosenId);
    if (at >= 0) {
      this.#at = at;
    } else {
      this.chosenId = this.pictures[Math.min(this.#at, this.pictures.length - 1)]?.id;
    }
    await this.loadDetails();
  }

  #indexOf(id: number | undefined): number {
    return this.pictures.findIndex((picture) => picture.id === id);
  }

  async #act(action: () => Promise<unknown>): Promise<void> {
    try {
      await action();
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }
}
