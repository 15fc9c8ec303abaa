import { api, got, type StorageState } from '../api/client';

/** Whether the log can be stored now. */
export class StorageStore {
  state = $state.raw<StorageState | undefined>(undefined);

  async load(): Promise<void> {
    try {
      this.take(await got(api.GET('/api/storage')));
    } catch {
      // Without an answer the page says itself that Yokebar does not answer.
    }
  }

  take(state: StorageState): void {
    this.state = state;
  }

  /** What to say on every page; undefined while all is well. */
  get sentence(): string | undefined {
    return this.state?.kind === 'GOOD' ? undefined : this.state?.sentence;
  }

  get stores(): boolean {
    return this.state === undefined || this.state.kind === 'GOOD' || this.state.kind === 'LOW';
  }
}
