import { api, got, type BandView, type RadioNow } from '../../platform/api/client';

/** A band's button: where it was left, or else where its custom says the present kind of traffic is. */
export class BandPlanStore {
  bands = $state.raw<BandView[]>([]);

  /** Where each radio was last on each band, Hz, so that coming back leads there. */
  #last = new Map<string, number>();

  async load(): Promise<void> {
    try {
      this.bands = await got(api.GET('/api/band-plan'));
    } catch {
      // Without the plan the buttons lead nowhere; they come back with the connection.
      this.bands = [];
    }
  }

  /** A radio is there now. */
  at(radioId: number, band: string | undefined, hz: number): void {
    if (band) {
      this.#last.set(`${radioId} ${band}`, hz);
    }
  }

  /** Where a band's button leads; undefined before the plan was read. */
  entryHz(radioId: number, band: string, group: RadioNow['modeGroup']): number | undefined {
    const plan = this.bands.find((b) => b.name === band);
    const kind = group === 'CW' ? plan?.cwHz : group === 'DIGITAL' ? plan?.digitalHz : plan?.voiceHz;
    return this.#last.get(`${radioId} ${band}`) ?? kind;
  }
}
