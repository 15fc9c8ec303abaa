import type { Schema } from '../api/client';

/**
 * What the event stream sends, as the description of the API says. `afresh` comes from the stream itself: too much was missed,
 * load everything again.
 */
export type LiveMessages = Schema['LiveMessages'] & { afresh: unknown };

type Listener<K extends keyof LiveMessages> = (content: LiveMessages[K]) => void;

/** What an EventSource has to offer, so that tests can stand one in. */
export interface StreamSource {
  onopen: (() => void) | null;
  onerror: (() => void) | null;
  addEventListener(kind: string, listener: (event: { data: string; lastEventId: string }) => void): void;
  close(): void;
}

/** The server beats every ten seconds; without a sign for this long the connection is dead, whatever the browser says. */
const SILENCE_MS = 25_000;
const RETRY_MS = 1_500;

/**
 * The page's one connection for news. After a loss it tells the server which event it saw last and gets what it missed.
 */
export class LiveConnection {
  connected = $state(false);
  /** When the connection was lost, for the person to know how old the page is. */
  lostAt = $state<number | undefined>(undefined);

  #open: (address: string) => StreamSource;
  #listeners = new Map<string, Set<(content: never) => void>>();
  #source: StreamSource | undefined;
  #lastId = '';
  #retry: ReturnType<typeof setTimeout> | undefined;
  #silence: ReturnType<typeof setTimeout> | undefined;

  constructor(
    open: (address: string) => StreamSource = (address) => new EventSource(address) as StreamSource,
  ) {
    this.#open = open;
  }

  /** Has to be called before `start`. */
  on<K extends keyof LiveMessages>(kind: K, listener: Listener<K>): void {
    const set = this.#listeners.get(kind) ?? new Set();
    set.add(listener as (content: never) => void);
    this.#listeners.set(kind, set);
  }

  start(): void {
    this.#source?.close();
    const query = this.#lastId ? `?last=${encodeURIComponent(this.#lastId)}` : '';
    const source = this.#open(`/api/live${query}`);
    this.#source = source;
    source.onopen = () => {
      this.connected = true;
      this.lostAt = undefined;
      this.#heard();
    };
    source.onerror = () => this.#lost();
    source.addEventListener('beat', () => this.#heard());
    for (const [kind, listeners] of this.#listeners) {
      source.addEventListener(kind, (event) => {
        this.#heard();
        this.#lastId = event.lastEventId || this.#lastId;
        const content = JSON.parse(event.data) as never;
        listeners.forEach((listener) => listener(content));
      });
    }
  }

  #heard(): void {
    clearTimeout(this.#silence);
    this.#silence = setTimeout(() => this.#lost(), SILENCE_MS);
  }

  #lost(): void {
    this.#source?.close();
    clearTimeout(this.#silence);
    clearTimeout(this.#retry);
    this.connected = false;
    this.lostAt ??= Date.now();
    this.#retry = setTimeout(() => this.start(), RETRY_MS);
  }
}
