import { api, got, Problem, type Hookup } from '../../platform/api/client';
import { StreamedList } from '../../platform/live/streamed.svelte';
import { texts } from './texts';

/** More would leave no room for the radios' names; every path is listed under Intake. */
const MAX_PROGRAM_PLATES = 1;

/** One feed stands for all of them while they are well. */
const MAX_FEED_PLATES = 1;

/** The station's own devices stand first, then what brings contacts. */
const PLATE_ORDER = ['DEVICE', 'PROGRAM', 'FEED'];
const placed = (h: Hookup) => {
  const place = PLATE_ORDER.indexOf(h.kind);
  return place < 0 ? PLATE_ORDER.length : place;
};

/** Programs that tell what they do come before mere paths for records. */
const rank = (h: Hookup) => (h.id.startsWith('link-') ? 0 : h.id === 'adif-datagrams' ? 1 : 2);

/** All couplings, kept fresh by the event stream. */
export class HookupStore {
  problem = $state('');
  /** Coupling id to what its last test found. */
  proofs = $state<Record<string, { works: boolean; sentence: string } | undefined>>({});
  /** Coupling id while something is being done to it. */
  busy = $state<Record<string, boolean>>({});

  #streamed = new StreamedList<Hookup>();

  get all(): Hookup[] {
    return this.#streamed.all;
  }

  /**
   * Those that are shown all the time. A callbook and a decoder of text bring no contacts, and of the programs' many paths only those that brought
   * something last take room; the others are seen when they are in trouble.
   */
  get plates(): Hookup[] {
    const programs = this.sources
      .filter((h) => h.kind === 'PROGRAM' && h.lastData !== undefined)
      .sort((a, b) => rank(a) - rank(b) || a.id.localeCompare(b.id))
      .slice(0, MAX_PROGRAM_PLATES);
    const feeds = this.sources
      .filter((h) => h.kind === 'FEED' && h.state !== 'OFF')
      .slice(0, MAX_FEED_PLATES);
    return this.sources
      .filter(
        (h) =>
          h.state === 'TROUBLE' ||
          (h.kind === 'FEED'
            ? feeds.includes(h)
            : h.kind === 'PROGRAM'
              ? programs.includes(h) || (programs.length === 0 && h.id === 'adif-datagrams')
              : h.kind !== 'CALLBOOK' && h.kind !== 'TEXT'),
      )
      .sort((a, b) => placed(a) - placed(b));
  }

  get sources(): Hookup[] {
    return this.all.filter((h) => !['SERVICE', 'CONTEST', 'CLOCK', 'COPY'].includes(h.kind));
  }

  /** Where something goes; a scoreboard only while it is used. */
  get services(): Hookup[] {
    return this.all.filter((h) => h.kind === 'SERVICE' || (h.kind === 'CONTEST' && h.state !== 'OFF'));
  }

  /** Feeds nothing, but everything depends on it. */
  get clock(): Hookup | undefined {
    return this.all.find((h) => h.kind === 'CLOCK');
  }

  /** Nothing feeds it but the log; seen only when it is in trouble. */
  get secondCopy(): Hookup | undefined {
    return this.all.find((h) => h.kind === 'COPY');
  }

  async load(): Promise<void> {
    try {
      await this.#streamed.askAll(() => got(api.GET('/api/hookups')));
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }

  take(changed: Hookup): void {
    this.#streamed.take(changed);
  }

  gone(id: string): void {
    this.#streamed.gone(id);
  }

  async test(id: string): Promise<void> {
    await this.#during(id, async () => {
      this.proofs[id] = await got(api.POST('/api/hookups/{id}/test', { params: { path: { id } } }));
    });
  }

  async setConnected(id: string, connected: boolean): Promise<void> {
    await this.#during(id, async () => {
      const path = connected ? '/api/hookups/{id}/connect' : '/api/hookups/{id}/disconnect';
      await this.#streamed.ask(() => got(api.POST(path, { params: { path: { id } } })));
      this.proofs[id] = undefined;
    });
  }

  async #during(id: string, action: () => Promise<void>): Promise<void> {
    this.busy[id] = true;
    try {
      await action();
    } catch (e) {
      this.proofs[id] = { works: false, sentence: e instanceof Problem ? e.message : String(e) };
    } finally {
      this.busy[id] = false;
    }
  }
}

/** How a state is called on screen. */
export const STATE_WORDS: Record<Hookup['state'], string> = {
  OFF: texts.off,
  STARTING: texts.starting,
  LIVE: texts.live,
  SLOW: texts.slow,
  QUIET: texts.quiet,
  TROUBLE: texts.trouble,
};
