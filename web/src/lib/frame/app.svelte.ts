import { ClockCheckStore } from '../clock/clock-check.svelte';
import { FeedStore } from '../feed/feeds.svelte';
import { IntakeStore } from '../intake/intake.svelte';
import { LatestStore } from '../desk/latest.svelte';
import { DigitalStore } from '../digital/digital.svelte';
import { HookupStore } from '../hookups/hookups.svelte';
import { LiveConnection } from '../live/live.svelte';
import { LineStore } from '../line/line.svelte';
import { ChangeStore } from '../log/changes.svelte';
import { besides, FIRST_COLUMNS } from '../log/columns';
import { LogStore } from '../log/log.svelte';
import { AirStore } from '../onair/air.svelte';
import { ChoicesStore } from '../onair/choices.svelte';
import { EVERYTHING, WANTED } from '../onair/filter';
import { notify, speak, tone } from '../onair/sound';
import type { AirAlert, AirFilter } from '../api/client';
import { PathStore } from '../map/path.svelte';
import { PartnerStore } from '../partner/partner.svelte';
import { PositionStore } from '../position/positions.svelte';
import { BandPlanStore } from '../radio/band-plan.svelte';
import { RadioStore } from '../radio/radios.svelte';
import { RotorStore } from '../rotor/rotors.svelte';
import { SearchStore } from '../search/search.svelte';
import { LaneStore } from '../services/lanes.svelte';
import { StationStore } from '../station/station.svelte';
import { StorageStore } from '../safety/storage.svelte';
import { memory } from '../shared/memory';
import { readAddress, writeAddress, type Address, type Drawer, type View } from './address';

export type { View } from './address';

export const THEMES = ['night', 'day', 'red'] as const;
export type Theme = (typeof THEMES)[number];

/** A contact on its way along the Yoke, for the eye. */
export interface Bead {
  id: number;
  from: 'source' | 'service';
}

const THEME_KEY = 'yokebar-theme';
const COLUMNS_KEY = 'yokebar-log-columns';
const LINE_FIELDS_KEY = 'yokebar-line-fields';
const STEPS_KEY = 'yokebar-first-steps';
const AIR_FILTER_KEY = 'yokebar-air-filter';
const ANNOUNCED_FOR_MS = 20_000;

/** Everything the page holds, and how news reach it. */
export class AppState {
  readonly live = new LiveConnection();
  readonly latest = new LatestStore();
  readonly log = new LogStore();
  readonly changes = new ChangeStore();
  readonly hookups = new HookupStore();
  readonly positions = new PositionStore();
  readonly radios = new RadioStore(this.positions);
  readonly bandPlan = new BandPlanStore();
  readonly rotors = new RotorStore(() => this.radios.chosen?.rotorId);
  readonly lanes = new LaneStore();
  readonly station = new StationStore();
  readonly clockCheck = new ClockCheckStore();
  readonly storage = new StorageStore();
  readonly search = new SearchStore();
  readonly intake = new IntakeStore();
  readonly digital = new DigitalStore();
  readonly path = new PathStore();
  readonly partner = new PartnerStore();
  readonly line = new LineStore(() => this.positions.here?.id);
  readonly feeds = new FeedStore();
  readonly choices = new ChoicesStore();
  /** Who is on the air, as the operator filters it, and those worth a call, for the desk. */
  readonly air = new AirStore(() => this.positions.here?.id);
  readonly shortlist = new AirStore(() => this.positions.here?.id, WANTED);

  /** What was announced and not dismissed yet. */
  announced = $state.raw<AirAlert[]>([]);

  view = $state<View>('log');
  /** The page within a view that has several, as the address says. */
  page = $state('');
  drawer = $state.raw<Drawer | undefined>(undefined);
  /** Whether something was typed at the side and is not saved yet. */
  unsaved = $state(false);
  /** What would be open at the side, when the operator leaves what is not saved. */
  leaving = $state.raw<{ to: Drawer | undefined } | undefined>(undefined);
  theme = $state<Theme>('night');
  beads = $state.raw<Bead[]>([]);
  /** ADIF names of the log's columns. */
  logColumns = $state.raw<string[]>(FIRST_COLUMNS);

  paletteOpen = $state(false);
  keysOpen = $state(false);
  /** Somebody wants the cursor in the search box; whoever gives it takes this back. */
  searchAsked = $state(false);
  /** Whether the contact line is shown where a view does not have it anyway. */
  lineOpen = $state(false);
  /** Somebody wants the cursor in the contact line; whoever gives it takes this back. */
  lineAsked = $state(false);
  lineInFields = $state(false);
  /** The fields shown in the line when it is filled in field by field. */
  lineFields = $state.raw<string[]>(['sent', 'rcvd', 'name', 'loc', 'comment']);

  #beadNumber = 0;

  start(): void {
    this.#readAddress();
    addEventListener('hashchange', () => this.#readAddress());
    addEventListener('popstate', () => this.#readAddress());
    this.setTheme(THEMES.find((t) => t === memory.getItem(THEME_KEY)) ?? 'night');
    this.live.on('afresh', () => this.#loadAll());
    this.lineFields = memory.getItem(LINE_FIELDS_KEY)?.split(',') ?? this.lineFields;
    this.showColumns(memory.getItem(COLUMNS_KEY)?.split(',') ?? FIRST_COLUMNS);
    this.air.filter = JSON.parse(memory.getItem(AIR_FILTER_KEY) ?? 'null') ?? EVERYTHING;
    this.live.on('air', () => {
      this.air.moved();
      this.shortlist.moved();
    });
    this.live.on('alerts', (alerts) => this.#announce(alerts));
    this.live.on('log', (news) => {
      this.latest.take(news);
      this.log.take(news);
      if (news.added.length > 0 || news.more > 0) {
        this.#bead('source');
      }
    });
    this.live.on('change', (change) => this.changes.take(change));
    this.live.on('hookup', (hookup) => {
      if (hookup.kind === 'FEED' && !this.feeds.all.some((f) => f.hookup === hookup.id)) {
        void this.feeds.load();
      }
      const before = this.hookups.all.find((h) => h.id === hookup.id);
      this.hookups.take(hookup);
      if (hookup.kind === 'SERVICE' && hookup.lastMinute > (before?.lastMinute ?? hookup.lastMinute)) {
        this.#bead('service');
      }
    });
    this.live.on('hookup-gone', ({ id }) => this.hookups.gone(id));
    this.live.on('radio', (radio) => {
      const before = this.radios.chosen?.now?.frequencyHz;
      this.radios.take(radio);
      this.line.refresh();
      const now = this.radios.chosen?.now;
      if (now && now.frequencyHz !== before) {
        this.air.dialAt(now.frequencyHz, now.mode?.startsWith('CW') ? 'CW' : 'PHONE');
      }
    });
    this.live.on('radios', (radios) => this.radios.takeAll(radios));
    this.live.on('rotors', (rotors) => this.rotors.takeAll(rotors));
    this.live.on('lanes', () => void this.lanes.load());
    this.live.on('firsts', (news) => this.lanes.announce(news));
    this.live.on('station', () => {
      void this.station.load();
      void this.bandPlan.load();
    });
    this.live.on('positions', (positions) => this.positions.takeAll(positions));
    this.live.on('programs', (programs) => this.digital.take(programs));
    this.live.on('clock', (clock) => this.clockCheck.take(clock));
    this.live.on('storage', (state) => this.storage.take(state));
    this.live.on('search', (search) => this.search.take(search));
    this.live.start();
  }

  go(view: View, page = ''): void {
    location.hash = this.address(view, page);
  }

  /** Where a view is, as it was left: the log with its search, and what is open at the side. */
  address(view: View, page = ''): string {
    return writeAddress({ ...this.#here, view, page });
  }

  get #here(): Address {
    const { view, page, drawer } = this;
    return { view, page, drawer, search: this.log.search, lane: this.lanes.chosen };
  }

  /**
   * Puts into the address what is in view, so that it can be pasted, and the browser's keys for back and forward go through it.
   * A search that is still being typed replaces the one before.
   */
  keepAddress(): void {
    const now = writeAddress(this.#here);
    const before = readAddress(location.hash);
    if (now === writeAddress(before)) {
      return;
    }
    const typing = before.search !== '' && this.log.search !== '' && before.search !== this.log.search;
    history[typing ? 'replaceState' : 'pushState'](null, '', now);
  }

  get openContact(): number | undefined {
    return this.drawer?.of === 'contact' ? this.drawer.id : undefined;
  }

  showContact(id: number | undefined): void {
    this.#open(id === undefined ? undefined : { of: 'contact', id });
  }

  showHookup(id: string): void {
    this.#open({ of: 'hookup', id });
  }

  showPosition(): void {
    this.#open({ of: 'position' });
  }

  showChanges(): void {
    this.#open({ of: 'changes' });
  }

  /** Chooses the columns of the log; each browser has its own. */
  showColumns(columns: string[]): void {
    this.logColumns = columns.length > 0 ? columns : FIRST_COLUMNS;
    memory.setItem(COLUMNS_KEY, this.logColumns.join(','));
    const further = besides(this.logColumns);
    if (further.join() !== this.log.columns.join()) {
      this.log.show(further);
    }
  }

  showKeys(): void {
    this.keysOpen = true;
  }

  searchLog(): void {
    this.go('log');
    this.searchAsked = true;
  }

  /** Brings the contact line up and puts the cursor into it. */
  askForLine(): void {
    this.lineOpen = true;
    this.lineAsked = true;
  }

  filterAir(filter: AirFilter): void {
    memory.setItem(AIR_FILTER_KEY, JSON.stringify(filter));
    this.air.filterBy(filter);
  }

  /** Radio, antenna, contact line and card go to a station; a decode is answered when that is asked for. */
  async goToSpot(id: number, answer = false): Promise<void> {
    const spot = this.air.spots.find((s) => s.id === id) ?? this.shortlist.spots.find((s) => s.id === id);
    const list = this.view === 'desk' ? this.shortlist : this.air;
    if (spot && !answer) {
      this.line.fill(`${spot.call.toLowerCase()} `);
      this.lineOpen = true;
    }
    await list.go(id, answer);
  }

  /** The next of the list in view, or the one before, and there. */
  async stepSpot(by: 1 | -1): Promise<void> {
    const list = this.view === 'desk' ? this.shortlist : this.air;
    const spot = list.step(by);
    if (spot) {
      await this.goToSpot(spot.id);
    }
  }

  async strikeSpot(): Promise<void> {
    const list = this.view === 'desk' ? this.shortlist : this.air;
    if (list.selected !== undefined) {
      await list.strike(list.selected);
    }
  }

  dismissAlert(alert: number): void {
    this.announced = this.announced.filter((one) => one.number !== alert);
  }

  #announce(alerts: AirAlert[]): void {
    this.announced = [...alerts, ...this.announced].slice(0, 20);
    for (const alert of alerts) {
      if (alert.tone !== undefined && alert.tone !== null) {
        tone(alert.tone);
      }
      if (alert.spoken) {
        speak(alert.sentence);
      }
      if (alert.notified) {
        notify(alert.sentence);
      }
      setTimeout(() => this.dismissAlert(alert.number), ANNOUNCED_FOR_MS);
    }
  }

  showLineFields(fields: string[]): void {
    this.lineFields = fields;
    memory.setItem(LINE_FIELDS_KEY, fields.join(','));
  }

  close(): void {
    this.#open(undefined);
  }

  /** Opens something else at the side, or nothing; what is typed there and not saved is asked about first. */
  #open(drawer: Drawer | undefined): void {
    if (JSON.stringify(drawer) === JSON.stringify(this.drawer)) {
      return;
    }
    if (this.unsaved) {
      this.leaving = { to: drawer };
    } else {
      this.drawer = drawer;
    }
  }

  leave(): void {
    const to = this.leaving?.to;
    this.unsaved = false;
    this.leaving = undefined;
    this.drawer = to;
  }

  stay(): void {
    this.leaving = undefined;
  }

  nextTheme(): void {
    this.setTheme(THEMES[(THEMES.indexOf(this.theme) + 1) % THEMES.length] ?? 'night');
  }

  /** The operator is through with the first steps, or does not want them. */
  stepsDone(): void {
    memory.setItem(STEPS_KEY, 'done');
    this.go('desk');
  }

  setTheme(theme: Theme): void {
    this.theme = theme;
    memory.setItem(THEME_KEY, theme);
    document.documentElement.dataset.theme = theme;
    document.documentElement.setAttribute('theme', theme === 'day' ? 'white' : 'g100');
  }

  #loadAll(): void {
    void this.latest.load();
    this.log.reload();
    void this.changes.load();
    void this.hookups.load();
    void this.radios.load();
    void this.rotors.load();
    void this.lanes.load();
    void this.bandPlan.load();
    void this.positions.load();
    void this.clockCheck.load();
    void this.storage.load();
    void this.digital.load();
    void this.feeds.load();
    this.air.afresh();
    this.shortlist.afresh();
    void this.station.load().then(() => this.#welcome());
  }

  /** Who comes to an empty station, and has not said otherwise, is shown the way. */
  #welcome(): void {
    const fresh = this.station.view !== undefined && !this.station.view.ownCall;
    if (fresh && location.hash === '' && memory.getItem(STEPS_KEY) === null) {
      this.go('first-steps');
    }
  }

  #readAddress(): void {
    const said = readAddress(location.hash);
    this.view = said.view;
    this.page = said.page;
    this.#open(said.drawer);
    if (said.view === 'services') {
      this.lanes.chosen = said.lane;
    }
    if (said.view === 'log' && said.search !== this.log.search) {
      this.log.find(said.search);
    }
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
