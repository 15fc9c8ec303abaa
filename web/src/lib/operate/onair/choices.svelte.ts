import { api, got, Problem, type AirAlert, type AirChoices } from '../../platform/api/client';
import { texts } from './texts';

/** What the operators are after, kept as it is changed. */
export class ChoicesStore {
  chosen = $state.raw<AirChoices | undefined>(undefined);
  problem = $state('');
  savedAt = $state(0);
  alerts = $state.raw<AirAlert[]>([]);
  #saving: Promise<void> = Promise.resolve();

  async load(): Promise<void> {
    await this.#try(async () => {
      this.chosen = await got(api.GET('/api/onair/choices'));
    });
  }

  /** Shown at once and saved one after the other, so that what is changed in between is built upon and not lost. */
  async save(more: Partial<AirChoices>): Promise<void> {
    if (!this.chosen) {
      return;
    }
    const wanted = { ...this.chosen, ...more };
    this.chosen = wanted;
    this.#saving = this.#saving.then(() => this.#put(wanted));
    await this.#saving;
  }

  async #put(wanted: AirChoices): Promise<void> {
    try {
      const saved = await got(api.PUT('/api/onair/choices', { body: wanted }));
      if (this.chosen === wanted) {
        this.chosen = saved;
      }
      this.savedAt = Date.now();
      this.problem = '';
    } catch (e) {
      await this.load();
      this.#blame(e);
    }
  }

  /** How many stations on the air now the goals would make needed, in all and each by itself. */
  async preview(
    goals: AirChoices['goals'],
    positionId: number | undefined,
  ): Promise<{ onAir: number; needed: number; byGoal: number[] } | undefined> {
    const before = this.chosen;
    if (!before) {
      return undefined;
    }
    try {
      return await got(
        api.POST('/api/onair/choices/preview', {
          params: { query: { positionId } },
          body: { ...before, goals },
        }),
      );
    } catch {
      return undefined;
    }
  }

  async loadAlerts(): Promise<void> {
    await this.#try(async () => {
      this.alerts = await got(api.GET('/api/onair/alerts'));
    });
  }

  async #try(what: () => Promise<void>): Promise<void> {
    try {
      await what();
      this.problem = '';
    } catch (e) {
      this.#blame(e);
    }
  }

  #blame(e: unknown): void {
    this.problem =
      e instanceof Problem ? ([...e.fields.values()][0] ?? e.message) : texts.yokebarDoesNotAnswer;
  }
}
