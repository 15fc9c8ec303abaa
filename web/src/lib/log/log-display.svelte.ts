import { memory } from '../platform/shared/memory';
import { besides, FIRST_COLUMNS } from './columns';
import type { LogStore } from './log.svelte';

const COLUMNS_KEY = 'yokebar-log-columns';

/** How the log is shown in this browser. */
export class LogDisplay {
  /** ADIF names of the columns. */
  columns = $state.raw<string[]>(FIRST_COLUMNS);
  /** Somebody wants the cursor in the search box; whoever gives it takes this back. */
  searchAsked = $state(false);

  #log: LogStore;

  constructor(log: LogStore) {
    this.#log = log;
    this.show(memory.getItem(COLUMNS_KEY)?.split(',') ?? FIRST_COLUMNS);
  }

  /** Chooses the columns; none brings back the first ones. */
  show(columns: string[]): void {
    this.columns = columns.length > 0 ? columns : FIRST_COLUMNS;
    memory.setItem(COLUMNS_KEY, this.columns.join(','));
    const further = besides(this.columns);
    if (further.join() !== this.#log.columns.join()) {
      this.#log.show(further);
    }
  }
}
