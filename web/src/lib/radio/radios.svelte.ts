import { api, got, Problem, type Radio, type RadioDraft } from '../api/client';

const CHOSEN_KEY = 'yokebar-radio';

/** Where this browser remembers its radio; each has its own, so that two people do not disturb each other. */
export type Memory = Pick<Storage, 'getItem' | 'setItem'>;

/** The radios; what they report comes with the event stream. */
export class RadioStore {
  all = $state.raw<Radio[]>([]);
  /** The radio in front of the person; undefined until one was chosen. */
  chosenId = $state<number | undefined>(undefined);

  #memory: Memory;

  constructor(memory: Memory = localStorage) {
    this.#memory = memory;
    const remembered = Number(memory.getItem(CHOSEN_KEY));
    this.chosenId = remembered || undefined;
  }

  /** What could not be done, for the person. */
  problem = $state('');

  get chosen(): Radio | undefined {
    return this.all.find((r) => r.id === this.chosenId) ?? this.all[0];
  }

  async load(): Promise<void> {
    await this.#try(async () => this.takeAll(await got(api.GET('/api/radios'))));
  }

  take(radio: Radio): void {
    this.all = this.all.map((r) => (r.id === radio.id ? radio : r));
  }

  takeAll(radios: Radio[]): void {
    this.all = radios;
  }

  /** The next radio comes to the front. */
  next(): void {
    const at = this.all.findIndex((r) => r.id === this.chosen?.id);
    this.chosenId = this.all[(at + 1) % this.all.length]?.id;
    this.#memory.setItem(CHOSEN_KEY, String(this.chosenId ?? ''));
  }

  async tune(tuning: { frequencyHz?: number; mode?: string; split?: boolean }): Promise<void> {
    const radio = this.chosen;
    if (radio) {
      await this.#try(() =>
        got(api.POST('/api/radios/{id}/tune', { params: { path: { id: radio.id } }, body: tuning })),
      );
    }
  }

  /** Throws the Problem, so that the form can show it at its fields. */
  async save(id: number | undefined, body: RadioDraft): Promise<void> {
    this.takeAll(
      await (id === undefined
        ? got(api.POST('/api/radios', { body }))
        : got(api.PUT('/api/radios/{id}', { params: { path: { id } }, body }))),
    );
  }

  async remove(id: number): Promise<void> {
    await this.#try(async () =>
      this.takeAll(await got(api.DELETE('/api/radios/{id}', { params: { path: { id } } }))),
    );
  }

  async #try(action: () => Promise<unknown>): Promise<void> {
    try {
      await action();
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }
}
