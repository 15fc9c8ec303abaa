import { api, got, type ClockView } from '../../platform/api/client';

/** How far the computer's clock is off, by the last check. */
export class ClockCheckStore {
  view = $state.raw<ClockView | undefined>(undefined);

  async load(): Promise<void> {
    try {
      this.view = await got(api.GET('/api/clock'));
    } catch {
      this.view = undefined;
    }
  }

  take(view: ClockView): void {
    this.view = view;
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
