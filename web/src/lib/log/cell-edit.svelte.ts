import type { LogLine } from '../platform/api/client';
import { column, type Column } from './columns';
import { EditQueue, type Unsaved } from './edits.svelte';

/** The cell of the log that is being changed. */
export class CellEdit {
  /** Where it is, and what it said when it was opened: another browser may change it meanwhile. */
  editing = $state.raw<{ id: number; field: string; was: string; text: string } | undefined>(undefined);
  readonly edits = new EditQueue();

  #columns: () => Column[];
  #left: () => void;

  /** @param left told when no cell is being changed any more */
  constructor(columns: () => Column[], left: () => void) {
    this.#columns = columns;
    this.#left = left;
  }

  open(line: LogLine, field: string | undefined): void {
    if (field) {
      const was = column(field).text(line);
      this.editing = { id: line.id, field, was, text: was };
    }
  }

  /** The next cell is there at once; what is typed while the last is being saved belongs to it. */
  save(line: LogLine, value: string, step: number): void {
    if (!this.editing) {
      return;
    }
    const { field, was } = this.editing;
    const next = step === 0 ? undefined : this.#beside(field, step);
    this.editing = undefined;
    this.open(line, next);
    if (!next) {
      this.#left();
    }
    if (value !== was) {
      void this.edits.put(line, field, value, { was, is: column(field).text(line) });
    }
  }

  stop(): void {
    this.editing = undefined;
    this.#left();
  }

  /** Opens again what could not be saved, with what was typed. */
  correct(unsaved: Unsaved, line: LogLine | undefined): void {
    this.edits.dismiss(unsaved);
    const { id, field, value } = unsaved;
    this.editing = { id, field, was: line ? column(field).text(line) : '', text: value };
  }

  /** The next cell that can be changed, or none. */
  #beside(field: string, step: number): string | undefined {
    const fields = this.#columns()
      .filter((c) => c.editable)
      .map((c) => c.field);
    return fields[fields.indexOf(field) + step];
  }
}
