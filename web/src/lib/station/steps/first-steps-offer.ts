import type { StationView } from '../../platform/api/client';
import type { Navigation } from '../../platform/page/navigation.svelte';
import { memory } from '../../platform/shared/memory';

const STEPS_KEY = 'yokebar-first-steps';

/** Whether the first steps are offered to whoever opens the page. */
export class FirstStepsOffer {
  #navigation: Navigation;

  constructor(navigation: Navigation) {
    this.#navigation = navigation;
  }

  /** Who comes to an empty station, and has not said otherwise, is shown the way. */
  welcome(station: StationView | undefined): void {
    const fresh = station !== undefined && !station.ownCall;
    if (fresh && location.hash === '' && memory.getItem(STEPS_KEY) === null) {
      this.#navigation.go('first-steps');
    }
  }

  /** The operator is through with the first steps, or does not want them. */
  done(): void {
    memory.setItem(STEPS_KEY, 'done');
    this.#navigation.go('desk');
  }
}
