import type { Finding } from '../../platform/api/client';
import type { RadioStore } from '../../sources/radio/radios.svelte';
import type { RotorStore } from '../../sources/rotor/rotors.svelte';
import type { SearchStore } from '../../sources/search/search.svelte';
import type { PositionStore } from '../position/positions.svelte';
import type { StationStore } from '../profile/station.svelte';

export const STEPS = ['call', 'place', 'radio', 'rotator', 'done'] as const;
export type Step = (typeof STEPS)[number];

/** What the steps work on. */
interface StepStores {
  station: StationStore;
  positions: PositionStore;
  radios: RadioStore;
  rotors: RotorStore;
  search: SearchStore;
}

/** The way from nothing to a live radio and rotator, one step after the other; each can be left out. */
export class FirstStepsWay {
  step = $state<Step>('call');
  problem = $state('');
  busy = $state(false);

  #stores: StepStores;

  constructor(stores: StepStores) {
    this.#stores = stores;
  }

  get number(): number {
    return STEPS.indexOf(this.step) + 1;
  }

  /** Leaves this step out, or goes on after it was done. */
  next(): void {
    this.problem = '';
    this.step = STEPS[STEPS.indexOf(this.step) + 1] ?? 'done';
    if (this.step === 'radio') {
      void this.#stores.search.start();
    }
  }

  async nameCall(call: string, name: string): Promise<void> {
    const { station, positions } = this.#stores;
    await this.#during(async () => {
      if (!(await station.setOwnCall(call))) {
        return station.saving.fault('ownCall');
      }
      const known = station.view?.operators.find((o) => o.callSign === station.view?.ownCall);
      const operator = { callSign: station.view?.ownCall ?? call, name, licence: known?.licence ?? '' };
      if (!(await station.saveOperator(known?.id, operator))) {
        return station.saving.fault(`operator-${known?.id ?? 'new'}`);
      }
      const mine = station.view?.operators.find((o) => o.callSign === station.view?.ownCall);
      await positions.change({ operatorId: mine?.id });
      return '';
    });
  }

  async addPlace(name: string, locator: string): Promise<void> {
    const { station, positions } = this.#stores;
    await this.#during(async () => {
      const known = station.view?.places.find((p) => p.name === name.trim());
      if (!(await station.savePlace(known?.id, { ...known, name, locator }))) {
        return station.saving.fault(`place-${known?.id ?? 'new'}`);
      }
      const place = station.view?.places.find((p) => p.name === name.trim());
      await positions.change({ placeId: place?.id });
      return '';
    });
  }

  async addRadio(finding: Finding, name: string): Promise<void> {
    await this.#during(async () => {
      await this.#stores.radios.save(undefined, {
        name,
        dialect: finding.dialect,
        address: finding.address,
        baud: finding.baud,
        bus: finding.bus,
      });
      const added = this.#stores.radios.all.at(-1);
      await this.#stores.positions.change({ radioId: added?.id });
      return '';
    });
  }

  async addRotor(finding: Finding, name: string): Promise<void> {
    await this.#during(async () => {
      await this.#stores.rotors.save(undefined, { name, address: finding.address, baud: finding.baud });
      return '';
    });
  }

  /** Goes on when the action says nothing is wrong. */
  async #during(action: () => Promise<string>): Promise<void> {
    this.busy = true;
    try {
      const problem = await action();
      if (problem) {
        this.problem = problem;
      } else {
        this.next();
      }
    } catch (e) {
      this.problem = e instanceof Error ? e.message : String(e);
    } finally {
      this.busy = false;
    }
  }
}
