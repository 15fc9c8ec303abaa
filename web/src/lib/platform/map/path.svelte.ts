import { api, got, type SunView } from '../api/client';

const SUN_EVERY_MS = 60_000;

/** Where the sun is. */
export class PathStore {
  sun = $state.raw<SunView | undefined>(undefined);

  /** Keeps the sun moving; to be undone when the map is gone. */
  watchSun(): () => void {
    void this.#readSun();
    const timer = setInterval(() => void this.#readSun(), SUN_EVERY_MS);
    return () => clearInterval(timer);
  }

  async #readSun(): Promise<void> {
    try {
      this.sun = await got(api.GET('/api/sun'));
    } catch {
      // The page says when it is offline; the night stays where it was.
    }
  }
}
