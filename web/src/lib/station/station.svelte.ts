import { api, got, Problem, type StationView } from '../api/client';

export type PlaceDraft = {
  name: string;
  locator: string;
  rig: string;
  antenna: string;
  powerW: number | null;
};

/** Which field of which thing on the page was saved, or why it was not. */
export type Saved = { key: string; problem?: Problem };

/** The station; every change is saved as it is made and says so. */
export class StationStore {
  view = $state.raw<StationView | undefined>(undefined);
  problem = $state('');
  saved = $state.raw<Saved | undefined>(undefined);

  async load(): Promise<void> {
    try {
      this.view = await got(api.GET('/api/station'));
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }

  setOwnCall(ownCall: string): Promise<boolean> {
    return this.#save('ownCall', got(api.PUT('/api/station', { body: { ownCall } })));
  }

  setOperator(operatorId: number): Promise<boolean> {
    return this.#save('operatorId', got(api.PUT('/api/station', { body: { operatorId } })));
  }

  setPlace(placeId: number): Promise<boolean> {
    return this.#save('placeId', got(api.PUT('/api/station', { body: { placeId } })));
  }

  saveOperator(id: number | undefined, callSign: string, name: string): Promise<boolean> {
    const body = { callSign, name };
    return this.#save(
      `operator-${id ?? 'new'}`,
      id === undefined
        ? got(api.POST('/api/station/operators', { body }))
        : got(api.PUT('/api/station/operators/{id}', { params: { path: { id } }, body })),
    );
  }

  savePlace(id: number | undefined, draft: PlaceDraft): Promise<boolean> {
    const body = { ...draft, powerW: draft.powerW ?? undefined };
    return this.#save(
      `place-${id ?? 'new'}`,
      id === undefined
        ? got(api.POST('/api/station/places', { body }))
        : got(api.PUT('/api/station/places/{id}', { params: { path: { id } }, body })),
    );
  }

  /** What is wrong with a field of the thing last saved, if that is it. */
  fault(key: string, field: string): string {
    return this.saved?.key === key ? (this.saved.problem?.fields.get(field) ?? '') : '';
  }

  async #save(key: string, answer: Promise<StationView>): Promise<boolean> {
    try {
      this.view = await answer;
      this.saved = { key };
      return true;
    } catch (e) {
      this.saved = { key, problem: e instanceof Problem ? e : new Problem(String(e)) };
      return false;
    }
  }
}
