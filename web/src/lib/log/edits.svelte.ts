import { api, got, Problem, type LogLine } from '../platform/api/client';
import { texts } from './texts';

/** A value that could not be saved, kept with its text until somebody deals with it. */
export interface Unsaved {
  id: number;
  call: string;
  field: string;
  value: string;
  sentence: string;
}

/** Stores one value of a contact; answers with its new version. Tests stand one in. */
export type Saving = (id: number, version: number, field: string, value: string) => Promise<number>;

const save: Saving = async (id, version, field, value) => {
  const body = { version, changes: { [field]: value } };
  return (await got(api.PATCH('/api/contacts/{id}', { params: { path: { id } }, body }))).version;
};

/**
 * Edits of cells, one after the other. The next cell is open at once, while the last is still being saved: what is typed meanwhile
 * belongs to it. A value that is refused stays with its text.
 */
export class EditQueue {
  unsaved = $state.raw<Unsaved[]>([]);
  #save: Saving;
  #versions = new Map<number, number>();
  /** What was given last for a field, here. */
  #mine = new Map<string, string>();
  #queue: Promise<void> = Promise.resolve();

  constructor(saving: Saving = save) {
    this.#save = saving;
  }

  /** @param seen what the field said when the cell was opened, and what it says by now; others may have changed it */
  put(line: LogLine, field: string, value: string, seen: { was: string; is: string }): Promise<void> {
    const mine = this.#mine.get(`${line.id} ${field}`)?.toLowerCase();
    this.#mine.set(`${line.id} ${field}`, value);
    if (seen.is !== seen.was && seen.is !== value && seen.is.toLowerCase() !== mine) {
      const now = seen.is === '' ? texts.itIsEmptyNow : texts.itSaysNow(seen.is);
      this.#refuse(line, field, value, texts.somebodyElseChangedItMeanwhile(now));
      return this.#queue;
    }
    this.#queue = this.#queue.then(() => this.#store(line, field, value));
    return this.#queue;
  }

  dismiss(unsaved: Unsaved): void {
    this.unsaved = this.unsaved.filter((u) => u !== unsaved);
  }

  async #store(line: LogLine, field: string, value: string): Promise<void> {
    try {
      const version = Math.max(line.version, this.#versions.get(line.id) ?? 0);
      this.#versions.set(line.id, await this.#save(line.id, version, field, value));
      this.unsaved = this.#others(line, field);
    } catch (e) {
      this.#refuse(line, field, value, e instanceof Problem ? e.message : String(e));
    }
  }

  #refuse({ id, call }: LogLine, field: string, value: string, sentence: string): void {
    this.unsaved = [...this.#others({ id }, field), { id, call, field, value, sentence }];
  }

  #others({ id }: { id: number }, field: string): Unsaved[] {
    return this.unsaved.filter((u) => u.id !== id || u.field !== field);
  }
}
