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

/** What this tab of a browser remembers when the page is loaded again; other tabs have their own. */
export const tabMemory = {
  getItem(key: string): string | null {
    try {
      return sessionStorage.getItem(key);
    } catch {
      return null;
    }
  },

  setItem(key: string, value: string): void {
    try {
      sessionStorage.setItem(key, value);
    } catch {
      // Not remembered.
    }
  },
};
