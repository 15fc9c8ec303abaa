import { api, got, type StorageState } from '../api/client';
import { StreamedValue } from '../live/streamed.svelte';

/** Whether the log can be stored now. */
export class StorageStore {
  #streamed = new StreamedValue<StorageState | undefined>(undefined);

  get state(): StorageState | undefined {
    return this.#streamed.value;
  }

  async load(): Promise<void> {
    try {
      await this.#streamed.ask(() => got(api.GET('/api/storage')));
    } catch {
      // Without an answer the page says itself that Yokebar does not answer.
    }
  }

  take(state: StorageState): void {
    this.#streamed.take(state);
  }

  /** What to say on every page; undefined while all is well. */
  get sentence(): string | undefined {
    return this.state?.kind === 'GOOD' ? undefined : this.state?.sentence;
  }

  get stores(): boolean {
    return this.state === undefined || this.state.kind === 'GOOD' || this.state.kind === 'LOW';
  }
}
