/**
 * A list that stands still while somebody points at it or has the keyboard in it. What changes in its rows shows at once; new rows
 * wait until nobody is there, or until they are asked for.
 */
export class HeldRows<T extends { id: number | string }> {
  #all: () => readonly T[];
  #kept = $state.raw<readonly T[] | undefined>(undefined);

  constructor(all: () => readonly T[]) {
    this.#all = all;
  }

  get rows(): readonly T[] {
    const all = this.#all();
    if (!this.#kept) {
      return all;
    }
    const byId = new Map(all.map((row) => [row.id, row]));
    return this.#kept.map((row) => byId.get(row.id) ?? row);
  }

  /** How many rows are not shown yet. */
  get waiting(): number {
    const shown = new Set(this.#kept?.map((row) => row.id));
    return this.#kept ? this.#all().filter((row) => !shown.has(row.id)).length : 0;
  }

  /** Shows what waits. */
  release(): void {
    this.#kept = undefined;
  }

  /** For the element around the rows. */
  readonly watch = (node: HTMLElement) => {
    let pointed = false;
    let focused = false;
    const hold = () => {
      const holding = pointed || focused;
      if (!holding) {
        this.release();
      } else if (!this.#kept && this.#all().length > 0) {
        this.#kept = this.#all();
      }
    };
    const on: [string, () => void][] = [
      ['pointerenter', () => (pointed = true)],
      ['pointerleave', () => (pointed = false)],
      ['focusin', () => (focused = true)],
      ['focusout', () => (focused = false)],
    ];
    const listeners = on.map(([event, note]) => {
      const listener = () => {
        note();
        hold();
      };
      node.addEventListener(event, listener);
      return () => node.removeEventListener(event, listener);
    });
    return {
      destroy: () => {
        listeners.forEach((remove) => remove());
        this.release();
      },
    };
  };
}
