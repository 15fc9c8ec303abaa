import {
  api,
  got,
  Problem,
  type PlaceDraft,
  type Preferences,
  type StationView,
} from '../../platform/api/client';
import { preferred } from '../../platform/shared/preferred.svelte';
import { Saving } from '../../platform/shared/saving.svelte';

export type CallFields = { callSign: string; validFrom: string; validUntil: string; note: string };
export type OperatorFields = { callSign: string; name: string; licence: string };

/** The station; every change is saved as it is made and says so. */
export class StationStore {
  view = $state.raw<StationView | undefined>(undefined);
  problem = $state('');
  readonly saving = new Saving();

  async load(): Promise<void> {
    try {
      this.#take(await got(api.GET('/api/station')));
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }

  setOwnCall(ownCall: string): Promise<boolean> {
    return this.#save('ownCall', () => got(api.PUT('/api/station', { body: { ownCall } })));
  }

  /** What is left out stays as it is. */
  prefer(body: Partial<Preferences>): Promise<boolean> {
    return this.#save(`preference-${Object.keys(body)[0]}`, () =>
      got(api.PUT('/api/station/preferences', { body })),
    );
  }

  saveCall(id: number | undefined, fields: CallFields): Promise<boolean> {
    const body = {
      ...fields,
      validFrom: fields.validFrom || undefined,
      validUntil: fields.validUntil || undefined,
    };
    return this.#save(`call-${id ?? 'new'}`, () =>
      id === undefined
        ? got(api.POST('/api/station/calls', { body }))
        : got(api.PUT('/api/station/calls/{id}', { params: { path: { id } }, body })),
    );
  }

  removeCall(id: number): Promise<boolean> {
    return this.#save(`call-${id}`, () =>
      got(api.DELETE('/api/station/calls/{id}', { params: { path: { id } } })),
    );
  }

  saveOperator(id: number | undefined, body: OperatorFields): Promise<boolean> {
    return this.#save(`operator-${id ?? 'new'}`, () =>
      id === undefined
        ? got(api.POST('/api/station/operators', { body }))
        : got(api.PUT('/api/station/operators/{id}', { params: { path: { id } }, body })),
    );
  }

  savePlace(id: number | undefined, body: PlaceDraft): Promise<boolean> {
    return this.#save(`place-${id ?? 'new'}`, () =>
      id === undefined
        ? got(api.POST('/api/station/places', { body }))
        : got(api.PUT('/api/station/places/{id}', { params: { path: { id } }, body })),
    );
  }

  #take(view: StationView): void {
    this.view = view;
    preferred.take(view.preferences);
  }

  #save(key: string, change: () => Promise<StationView>): Promise<boolean> {
    return this.saving.during(key, async () => this.#take(await change()));
  }
}
