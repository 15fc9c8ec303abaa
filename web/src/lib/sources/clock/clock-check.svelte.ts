import { api, got, type ClockView } from '../../platform/api/client';
import { StreamedValue } from '../../platform/live/streamed.svelte';

/** How far the computer's clock is off, by the last check. */
export class ClockCheckStore {
  #streamed = new StreamedValue<ClockView | undefined>(undefined);

  get view(): ClockView | undefined {
    return this.#streamed.value;
  }

  async load(): Promise<void> {
    await this.#streamed.ask(() => got(api.GET('/api/clock')).catch(() => undefined));
  }

  take(view: ClockView): void {
    this.#streamed.take(view);
  }

  /** `+0.7 s` when the clock is ahead, `−0.7 s` when it is behind; empty while that is nothing to speak of. */
  get offset(): string {
    const behind = this.view?.behindMs;
    if (behind === undefined || !this.view?.sentence) {
      return '';
    }
    return `${behind > 0 ? '−' : '+'}${(Math.abs(behind) / 1000).toFixed(1)} s`;
  }
}
