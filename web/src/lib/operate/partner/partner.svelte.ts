import { api, got, Problem, type CallbookLookup, type PartnerView } from '../../platform/api/client';

/** The card, with its map, takes a while to draw; it waits until the typist rests, so that the line stays quick. */
const ASK_AFTER_MS = 120;
/** The callbook is asked about whole calls, once nobody types on. */
const LOOK_UP_AFTER_MS = 400;

/** Whom the card shows. */
export interface Whom {
  call: string;
  /** Typed by the operator. */
  locator?: string;
}

export type PartnerReader = (whom: Whom, positionId: number | undefined) => Promise<PartnerView>;

/** Asks the callbook; tells whether more is known than before. */
export type CallbookReader = (call: string, signal: AbortSignal) => Promise<CallbookLookup>;

const readCallbook: CallbookReader = (call, signal) =>
  got(api.POST('/api/callbook/find', { params: { query: { call } }, signal }));

const readPartner: PartnerReader = ({ call, locator }, positionId) =>
  got(api.GET('/api/partner', { params: { query: { call, locator, positionId } } }));

/** Who the other station is: the one being typed, else the one pointed at. */
export class PartnerStore {
  view = $state.raw<PartnerView | undefined>(undefined);
  problem = $state('');
  /** Whether the callbook is being asked, and why it could not be. */
  lookup = $state.raw<{ asking: boolean; problem?: string }>({ asking: false });

  #read: PartnerReader;
  #callbook: CallbookReader;
  #asked = '';
  /** A browser has few connections to one host; a slow lookup must hold one of them at the most. */
  #underWay = new AbortController();
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(read: PartnerReader = readPartner, callbook: CallbookReader = readCallbook) {
    this.#read = read;
    this.#callbook = callbook;
  }

  show(whom: Whom | undefined, positionId: number | undefined): void {
    const asked = whom ? `${whom.call} ${whom.locator ?? ''} ${positionId ?? ''}` : '';
    if (asked === this.#asked) {
      return;
    }
    this.#asked = asked;
    this.lookup = { asking: false };
    this.#underWay.abort();
    clearTimeout(this.#timer);
    if (whom) {
      this.#timer = setTimeout(() => void this.#load(whom, positionId, asked), ASK_AFTER_MS);
    } else {
      this.view = undefined;
    }
  }

  /** What the log says may be different now. */
  again(whom: Whom | undefined, positionId: number | undefined): void {
    this.#asked = '';
    this.show(whom, positionId);
  }

  async #load(whom: Whom, positionId: number | undefined, asked: string): Promise<void> {
    try {
      const view = await this.#read(whom, positionId);
      if (asked === this.#asked) {
        this.view = view;
        this.problem = '';
        this.#timer = setTimeout(() => void this.#lookUp(whom, positionId, asked), LOOK_UP_AFTER_MS);
      }
    } catch (e) {
      if (asked === this.#asked) {
        this.view = undefined;
        this.problem = e instanceof Problem ? e.message : String(e);
      }
    }
  }

  /** What the callbook adds comes when it comes; the card stands before and without it. */
  async #lookUp(whom: Whom, positionId: number | undefined, asked: string): Promise<void> {
    if (asked === this.#asked) {
      this.lookup = { asking: true };
    }
    this.#underWay.abort();
    const mine = new AbortController();
    this.#underWay = mine;
    try {
      const { news, problem } = await this.#callbook(whom.call, mine.signal);
      const view = news ? await this.#read(whom, positionId) : undefined;
      if (asked === this.#asked) {
        this.view = view ?? this.view;
        this.lookup = { asking: false, problem };
      }
    } catch (e) {
      if (asked === this.#asked) {
        this.lookup = { asking: false, problem: e instanceof Problem ? e.message : String(e) };
      }
    }
  }
}
