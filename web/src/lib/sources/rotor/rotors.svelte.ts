import { api, got, Problem, type Rotor, type RotorDraft } from '../../platform/api/client';
import { StreamedValue } from '../../platform/live/streamed.svelte';

/** The rotators; where they point comes with the event stream. */
export class RotorStore {
  problem = $state('');

  #streamed = new StreamedValue<Rotor[]>([]);

  /** The one chosen by hand; else that of the radio in front, else the first. */
  #byHand = $state<number | undefined>(undefined);
  #ofRadio: () => number | undefined;

  constructor(ofRadio: () => number | undefined = () => undefined) {
    this.#ofRadio = ofRadio;
  }

  get all(): Rotor[] {
    return this.#streamed.value;
  }

  get chosen(): Rotor | undefined {
    const wanted = this.#byHand ?? this.#ofRadio();
    return this.all.find((rotor) => rotor.id === wanted) ?? this.all[0];
  }

  choose(id: number): void {
    this.#byHand = id;
  }

  async load(): Promise<void> {
    await this.#try(() => got(api.GET('/api/rotors')));
  }

  takeAll(rotors: Rotor[]): void {
    this.#streamed.take(rotors);
  }

  /** Turns the antenna there, degrees true. */
  async point(headingDegrees: number): Promise<void> {
    const rotor = this.chosen;
    if (rotor) {
      const params = { path: { id: rotor.id } };
      await this.#try(() => got(api.POST('/api/rotors/{id}/point', { params, body: { headingDegrees } })));
    }
  }

  /** Raises the antenna, degrees above the horizon. */
  async raise(elevationDegrees: number): Promise<void> {
    const rotor = this.chosen;
    if (rotor) {
      const params = { path: { id: rotor.id } };
      await this.#try(() => got(api.POST('/api/rotors/{id}/point', { params, body: { elevationDegrees } })));
    }
  }

  async stop(): Promise<void> {
    const rotor = this.chosen;
    if (rotor) {
      await this.#try(() => got(api.POST('/api/rotors/{id}/stop', { params: { path: { id: rotor.id } } })));
    }
  }

  /** Throws the Problem, so that the form can show it at its fields. */
  async save(id: number | undefined, body: RotorDraft): Promise<void> {
    await this.#streamed.ask(() =>
      id === undefined
        ? got(api.POST('/api/rotors', { body }))
        : got(api.PUT('/api/rotors/{id}', { params: { path: { id } }, body })),
    );
  }

  async remove(id: number): Promise<void> {
    await this.#try(() => got(api.DELETE('/api/rotors/{id}', { params: { path: { id } } })));
  }

  async #try(question: () => Promise<Rotor[]>): Promise<void> {
    try {
      await this.#streamed.ask(question);
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }
}
