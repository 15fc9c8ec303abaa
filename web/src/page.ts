import { FEATURES } from './features';
import { LiveConnection } from './lib/platform/live/live.svelte';
import type { Action } from './lib/platform/page/action';
import type { Feature, FeatureFactory } from './lib/platform/page/feature';
import { frameActions } from './lib/platform/frame/frame-actions';
import { Navigation } from './lib/platform/page/navigation.svelte';
import { Stores } from './lib/platform/page/stores';
import { ThemeStore } from './lib/platform/page/theme.svelte';

/** The page as a whole: its features, put together. */
export class Page {
  readonly stores = new Stores();
  readonly live = new LiveConnection();
  readonly navigation = this.stores.add(new Navigation());
  readonly theme = this.stores.add(new ThemeStore());
  readonly features: Feature[];

  constructor(factories: FeatureFactory[] = FEATURES) {
    this.features = factories.map((make) => make(this.stores));
    this.navigation.offer(this.features);
  }

  /** All that can be done from anywhere. */
  get actions(): Action[] {
    return [
      ...this.features.flatMap((feature) => feature.actions ?? []),
      ...frameActions(this.navigation, this.theme),
    ];
  }

  start(): void {
    this.navigation.start();
    this.theme.start();
    this.live.on('afresh', () => this.features.forEach((feature) => void feature.load?.()));
    this.features.forEach((feature) => feature.listen?.(this.live));
    this.live.start();
  }
}
