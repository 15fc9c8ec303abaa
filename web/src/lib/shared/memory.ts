/**
 * What a browser remembers between visits. Some refuse to, or are full; the page then works all the same and remembers
 * nothing.
 */
export const memory = {
  getItem(key: string): string | null {
    try {
      return localStorage.getItem(key);
    } catch {
      return null;
    }
  },

  setItem(key: string, value: string): void {
    try {
      localStorage.setItem(key, value);
    } catch {
      // Not remembered.
    }
  },

  removeItem(key: string): void {
    try {
      localStorage.removeItem(key);
    } catch {
      // Was not remembered either.
    }
  },
};
