import { api, got, Problem, type AirAlert, type AirChoices } from '../api/client';

/** What the operators are after, kept as it is changed. */
export class ChoicesStore {
  chosen = $state.raw<AirChoices | undefined>(undefined);
  problem = $state('');
  savedAt = $state(0);
  alerts = $state.raw<AirAlert[]>([]);

  async load(): Promise<void> {
    await this.#try(async () => {
      this.chosen = await got(api.GET('/api/onair/choices'));
    });
  }

  async save(more: Partial<AirChoices>): Promise<void> {
    const before = this.chosen;
    if (before) {
      await this.#try(async () => {
        this.chosen = await got(api.PUT('/api/onair/choices', { body: { ...before, ...more } }));
        this.savedAt = Date.now();
      });
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
      this.problem =
        e instanceof Problem ? ([...e.fields.values()][0] ?? e.message) : 'Yokebar does not answer.';
    }
  }
}
