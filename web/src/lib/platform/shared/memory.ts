/** What is remembered from one visit to the next, or from one load of the page to the next. */
export type Memory = Pick<Storage, 'getItem' | 'setItem'>;

/** Some browsers refuse to remember, or are full; the page then works all the same and remembers nothing. */
function guarded(storage: () => Storage) {
  return {
    getItem(key: string): string | null {
      try {
        return storage().getItem(key);
      } catch {
        return null;
      }
    },

    setItem(key: string, value: string): void {
      try {
        storage().setItem(key, value);
      } catch {
        // Not remembered.
      }
    },

    removeItem(key: string): void {
      try {
        storage().removeItem(key);
      } catch {
        // Was not remembered either.
      }
    },
  };
}

/** What this browser remembers between visits. */
export const memory = guarded(() => localStorage);

/** What this tab of a browser remembers when the page is loaded again; other tabs have their own. */
export const tabMemory = guarded(() => sessionStorage);

/** A value that was remembered as JSON; the other one when nothing was, or what was is damaged. */
export function remembered<T>(from: Memory, key: string, otherwise: T): T {
  try {
    return (JSON.parse(from.getItem(key) ?? 'null') as T | null) ?? otherwise;
  } catch {
    return otherwise;
  }
}
