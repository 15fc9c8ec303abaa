import { api, got, type LogLine, type PathView, type SunView } from '../api/client';

const SUN_EVERY_MS = 60_000;

/** The sun, and the way from here to the station in view. */
export class PathStore {
  sun = $state.raw<SunView | undefined>(undefined);
  path = $state.raw<PathView | undefined>(undefined);
  /** Whom the way leads to. */
  to = $state.raw<LogLine | undefined>(undefined);

  #asked = '';

  /** Keeps the sun moving; to be undone when the map is gone. */
  watchSun(): () => void {
    void this.#readSun();
    const timer = setInterval(() => void this.#readSun(), SUN_EVERY_MS);
    return () => clearInterval(timer);
  }

  /** Shows the way to a logged station. Without both locators there is none. */
  async show(from: string | undefined, line: LogLine | undefined): Promise<void> {
    const asked = `${from ?? ''} ${line?.locator ?? ''} ${line?.id ?? ''}`;
    if (asked === this.#asked) {
      return;
    }
    this.#asked = asked;
    let path: PathView | undefined;
    if (from && line?.locator) {
      try {
        path = await got(api.GET('/api/path', { params: { query: { from, to: line.locator } } }));
      } catch {
        path = undefined;
      }
    }
    if (asked === this.#asked) {
      this.path = path;
      this.to = line;
    }
  }

  async #readSun(): Promise<void> {
    try {
      this.sun = await got(api.GET('/api/sun'));
    } catch {
      // The page says when it is offline; the night stays where it was.
    }
  }
}
