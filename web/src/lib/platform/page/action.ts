/** Something a person can do from the keyboard. */
export interface Action {
  label: string;
  /** The single key that does it outside of fields, or two in a row: `g d`. */
  keys?: string;
  /** Other ways, for reading only. */
  also?: string;
  /** Further words one may look for it by. */
  words?: string;
  /** Whether it can be done now; always, when left out. */
  possible?: () => boolean;
  run: () => unknown;
}

/** A key that works within something, for the list of keys. */
export interface LocalKey {
  where: string;
  keys: string;
  label: string;
}

/** The actions whose words fit what was typed, in any order of words. */
export function fitting(all: Action[], typed: string): Action[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  return all.filter(
    (action) =>
      (action.possible?.() ?? true) &&
      words.every((word) => `${action.label} ${action.words ?? ''}`.toLowerCase().includes(word)),
  );
}
