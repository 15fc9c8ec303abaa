import { HookupStore } from '../hookups/hookups.svelte';
import { LiveConnection } from '../live/live.svelte';
import { LogStore } from '../log/log.svelte';
import { RadioStore } from '../radio/radios.svelte';
import { RotorStore } from '../rotor/rotors.svelte';
import { LaneStore } from '../services/lanes.svelte';
import { StationStore } from '../station/station.svelte';

export const VIEWS = ['desk', 'log', 'hookups', 'services', 'station'] as const;
export type View = (typeof VIEWS)[number];
export type Theme = 'night' | 'day';

/** A contact on its way along the Yoke, for the eye. */
export interface Bead {
  id: number;
  from: 'source' | 'service';
}

const THEME_KEY = 'yokebar-theme';

/** Everything the page holds, and how news reach it. */
export class AppState {
  readonly live = new LiveConnection();
  readonly log = new LogStore();
  readonly hookups = new HookupStore();
  readonly radios = new RadioStore();
  readonly rotors = new RotorStore();
  readonly lanes = new LaneStore();
  readonly station = new StationStore();

  view = $state<View>('log');
  /** The contact in the drawer. */
  openContact = $state<number | undefined>(undefined);
  theme = $state<Theme>('night');
  beads = $state.raw<Bead[]>([]);

  #beadNumber = 0;

  start(): void {
    this.#readAddress();
    addEventListener('hashchange', () => this.#readAddress());
    this.setTheme(localStorage.getItem(THEME_KEY) === 'day' ? 'day' : 'night');
    this.live.on('afresh', () => this.#loadAll());
    this.live.on('log', (news) => {
      this.log.take(news);
      if (news.added.length > 0 || news.more > 0) {
        this.#bead('source');
      }
    });
    this.live.on('hookup', (hookup) => {
      const before = this.hookups.all.find((h) => h.id === hookup.id);
      this.hookups.take(hookup);
      if (hookup.kind === 'SERVICE' && hookup.lastMinute > (before?.lastMinute ?? hookup.lastMinute)) {
        this.#bead('service');
      }
    });
    this.live.on('hookup-gone', ({ id }) => this.hookups.gone(id));
    this.live.on('radio', (radio) => this.radios.take(radio));
    this.live.on('radios', (radios) => this.radios.takeAll(radios));
    this.live.on('rotors', (rotors) => this.rotors.takeAll(rotors));
    this.live.on('lanes', () => void this.lanes.load());
    this.live.on('station', () => void this.station.load());
    this.live.start();
  }

  go(view: View): void {
    location.hash = `#/${view}`;
  }

  setTheme(theme: Theme): void {
    this.theme = theme;
    localStorage.setItem(THEME_KEY, theme);
    document.documentElement.dataset.theme = theme;
    document.documentElement.setAttribute('theme', theme === 'day' ? 'white' : 'g100');
  }

  #loadAll(): void {
    void this.log.load();
    void this.hookups.load();
    void this.radios.load();
    void this.rotors.load();
    void this.lanes.load();
    void this.station.load();
  }

  #readAddress(): void {
    const name = location.hash.replace(/^#\//, '');
    this.view = VIEWS.find((v) => v === name) ?? 'log';
  }

  #bead(from: Bead['from']): void {
    if (this.beads.length < 6) {
      this.beads = [...this.beads, { id: ++this.#beadNumber, from }];
    }
  }

  beadArrived(id: number): void {
    this.beads = this.beads.filter((b) => b.id !== id);
  }
}
