import { api, got, Problem, type PartnerView } from '../api/client';

const ASK_AFTER_MS = 50;

/** Whom the card shows. */
export interface Whom {
  call: string;
  /** Typed by the operator. */
  locator?: string;
}

export type PartnerReader = (whom: Whom, positionId: number | undefined) => Promise<PartnerView>;

const readPartner: PartnerReader = ({ call, locator }, positionId) =>
  got(api.GET('/api/partner', { params: { query: { call, locator, positionId } } }));

/** Who the other station is: the one being typed, else the one pointed at. */
export class PartnerStore {
  view = $state.raw<PartnerView | undefined>(undefined);
  problem = $state('');

  #read: PartnerReader;
  #asked = '';
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(read: PartnerReader = readPartner) {
    this.#read = read;
  }

  show(whom: Whom | undefined, positionId: number | undefined): void {
    const asked = whom ? `${whom.call} ${whom.locator ?? ''} ${positionId ?? ''}` : '';
    if (asked === this.#asked) {
      return;
    }
    this.#asked = asked;
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
      }
    } catch (e) {
      if (asked === this.#asked) {
        this.view = undefined;
        this.problem = e instanceof Problem ? e.message : String(e);
      }
    }
  }
}
