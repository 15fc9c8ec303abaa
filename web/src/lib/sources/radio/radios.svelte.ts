import { api, got, Problem, type Radio, type RadioDraft } from '../../platform/api/client';
import { StreamedList } from '../../platform/live/streamed.svelte';

/** Which radio is in front of the person, and how another is chosen: the position knows. */
export interface RadioChoice {
  readonly radioId: number | undefined;
  choose(id: number): Promise<unknown>;
}

/** The radios; what they report comes with the event stream. */
export class RadioStore {
  #streamed = new StreamedList<Radio>();
  #choice: RadioChoice;

  constructor(choice: RadioChoice) {
    this.#choice = choice;
  }

  /** What could not be done, for the person. */
  problem = $state('');

  get all(): Radio[] {
    return this.#streamed.all;
  }

  get chosen(): Radio | undefined {
    return this.all.find((r) => r.id === this.#choice.radioId) ?? this.all[0];
  }

  async load(): Promise<void> {
    await this.#try(() => this.#streamed.askAll(() => got(api.GET('/api/radios'))));
  }

  take(radio: Radio): void {
    this.#streamed.take(radio);
  }

  takeAll(radios: Radio[]): void {
    this.#streamed.takeAll(radios);
  }

  /** The next radio comes to the front. */
  async next(): Promise<void> {
    const at = this.all.findIndex((r) => r.id === this.chosen?.id);
    const next = this.all[(at + 1) % this.all.length];
    if (next && next.id !== this.chosen?.id) {
      await this.#try(() => this.#choice.choose(next.id));
    }
  }

  async tune(tuning: {
    frequencyHz?: number;
    typedFrequency?: string;
    mode?: string;
    split?: boolean;
  }): Promise<void> {
    const radio = this.chosen;
    if (radio) {
      await this.#try(() =>
        got(api.POST('/api/radios/{id}/tune', { params: { path: { id: radio.id } }, body: tuning })),
      );
    }
  }

  /** Throws the Problem, so that the form can show it at its fields. */
  async save(id: number | undefined, body: RadioDraft): Promise<void> {
    await this.#streamed.askAll(() =>
      id === undefined
        ? got(api.POST('/api/radios', { body }))
        : got(api.PUT('/api/radios/{id}', { params: { path: { id } }, body })),
    );
  }

  /** Programs at the sharing port may transmit from now on. */
  async allowTransmit(radio: Radio): Promise<void> {
    await this.#try(() =>
      this.save(radio.id, {
        name: radio.name,
        dialect: radio.dialect,
        address: radio.address,
        baud: radio.baud,
        bus: radio.bus,
        fullPowerW: radio.fullPowerW,
        pollEveryMs: radio.pollEveryMs,
        lowerSidebandKeyed: radio.lowerSidebandKeyed,
        shareTransmit: true,
      }),
    );
  }

  async remove(id: number): Promise<void> {
    await this.#try(() =>
      this.#streamed.askAll(() => got(api.DELETE('/api/radios/{id}', { params: { path: { id } } }))),
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
