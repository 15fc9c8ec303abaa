import { api, got, Problem, type Position, type PositionDraft } from '../../platform/api/client';
import { StreamedValue } from '../../platform/live/streamed.svelte';
import { Saving } from '../../platform/shared/saving.svelte';
import { memory as browserMemory, type Memory } from '../../platform/shared/memory';

const HERE_KEY = 'yokebar-position';

/** The positions, and the one this browser is at: each browser has its own, so that two people do not disturb each other. */
export class PositionStore {
  problem = $state('');
  readonly saving = new Saving();

  #streamed = new StreamedValue<Position[]>([]);
  #hereId = $state<number | undefined>(undefined);
  #memory: Memory;

  constructor(memory: Memory = browserMemory) {
    this.#memory = memory;
    this.#hereId = Number(memory.getItem(HERE_KEY)) || undefined;
  }

  get all(): Position[] {
    return this.#streamed.value;
  }

  /** Where we are; the first position until another was chosen. */
  get here(): Position | undefined {
    return this.all.find((p) => p.id === this.#hereId) ?? [...this.all].sort((a, b) => a.id - b.id)[0];
  }

  /** Whether this browser has to say where it is: there are several positions, and it was at none yet. */
  get mustAsk(): boolean {
    return this.#hereId === undefined && this.all.length > 1;
  }

  get radioId(): number | undefined {
    return this.here?.radioId;
  }

  async load(): Promise<void> {
    try {
      await this.#streamed.ask(() => got(api.GET('/api/positions')));
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }

  takeAll(positions: Position[]): void {
    this.#streamed.take(positions);
  }

  /** This browser moves to another position. */
  async sitDown(id: number): Promise<void> {
    this.#hereId = id;
    this.#memory.setItem(HERE_KEY, String(id));
    await this.saving.during(`position-${id}`, () =>
      this.#streamed.ask(() => got(api.POST('/api/positions/{id}/sit-down', { params: { path: { id } } }))),
    );
  }

  /** Changes the position this browser is at; what is left out stays. */
  change(body: PositionDraft): Promise<boolean> {
    const id = this.here?.id;
    return id === undefined ? Promise.resolve(false) : this.save(id, body);
  }

  choose(radioId: number): Promise<boolean> {
    return this.change({ radioId });
  }

  save(id: number | undefined, body: PositionDraft): Promise<boolean> {
    return this.saving.during(`position-${id ?? 'new'}`, () =>
      this.#streamed.ask(() =>
        id === undefined
          ? got(api.POST('/api/positions', { body }))
          : got(api.PUT('/api/positions/{id}', { params: { path: { id } }, body })),
      ),
    );
  }

  remove(id: number): Promise<boolean> {
    return this.saving.during(`position-${id}`, () =>
      this.#streamed.ask(() => got(api.DELETE('/api/positions/{id}', { params: { path: { id } } }))),
    );
  }
}
