import { api, got, Problem, type LogLine } from '../api/client';

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
  #queue: Promise<void> = Promise.resolve();

  constructor(saving: Saving = save) {
    this.#save = saving;
  }

  put(line: LogLine, field: string, value: string): Promise<void> {
    this.#queue = this.#queue.then(() => this.#store(line, field, value));
    return this.#queue;
  }

  dismiss(unsaved: Unsaved): void {
    this.unsaved = this.unsaved.filter((u) => u !== unsaved);
  }

  async #store(line: LogLine, field: string, value: string): Promise<void> {
    const others = this.unsaved.filter((u) => u.id !== line.id || u.field !== field);
    try {
      const version = Math.max(line.version, this.#versions.get(line.id) ?? 0);
      this.#versions.set(line.id, await this.#save(line.id, version, field, value));
      this.unsaved = others;
    } catch (e) {
      const sentence = e instanceof Problem ? e.message : String(e);
      this.unsaved = [...others, { id: line.id, call: line.call, field, value, sentence }];
    }
  }
}
