import { readAddress, writeAddress, type Address, type AddressForm, type Drawer } from './address';
import type { AddressPart, DrawerOffer, Feature, ViewOffer } from './feature';

/** Where one is: the view, its page, what is open at the side; kept in the address. */
export class Navigation {
  view = $state('log');
  /** The page within a view that has several, as the address says. */
  page = $state('');
  drawer = $state.raw<Drawer | undefined>(undefined);
  /** Whether something was typed at the side and is not saved yet. */
  unsaved = $state(false);
  /** What would be open at the side, when the operator leaves what is not saved. */
  leaving = $state.raw<{ to: Drawer | undefined } | undefined>(undefined);
  paletteOpen = $state(false);
  keysOpen = $state(false);

  views: ViewOffer[] = [];
  drawers: DrawerOffer[] = [];
  #parts: AddressPart[] = [];

  /** Takes in what the features offer; before `start`. */
  offer(features: Feature[]): void {
    this.views = features.flatMap((feature) => feature.views ?? []);
    this.drawers = features.flatMap((feature) => feature.drawers ?? []);
    this.#parts = features.flatMap((feature) => feature.addressParts ?? []);
  }

  start(): void {
    this.#readAddress();
    addEventListener('hashchange', () => this.#readAddress());
    addEventListener('popstate', () => this.#readAddress());
  }

  /** The views of the rail, in their order. */
  get railViews(): (ViewOffer & { rail: NonNullable<ViewOffer['rail']> })[] {
    return this.views
      .flatMap((view) => (view.rail ? [{ ...view, rail: view.rail }] : []))
      .sort((a, b) => a.rail.position - b.rail.position);
  }

  go(view: string, page = ''): void {
    location.hash = this.address(view, page);
  }

  /** Where a view is, as it was left: the log with its search, and what is open at the side. */
  address(view: string, page = ''): string {
    return writeAddress({ ...this.#here, view, page, more: this.#more(view) });
  }

  get #here(): Address {
    const { view, page, drawer } = this;
    return { view, page, drawer, more: this.#more(view) };
  }

  #more(view: string): Record<string, string> {
    const filled = this.#parts.filter((part) => part.view === view && part.read() !== '');
    return Object.fromEntries(filled.map((part) => [part.name, part.read()]));
  }

  /**
   * Puts into the address what is in view, so that it can be pasted, and the browser's keys for back and forward go through it.
   * A search that is still being typed replaces the one before.
   */
  keepAddress(): void {
    const here = this.#here;
    const now = writeAddress(here);
    const before = readAddress(location.hash, this.#form);
    if (now === writeAddress(before)) {
      return;
    }
    const typing = this.#parts.some(
      ({ name, typed }) =>
        typed && before.more[name] && here.more[name] && before.more[name] !== here.more[name],
    );
    history[typing ? 'replaceState' : 'pushState'](null, '', now);
  }

  get openContact(): number | undefined {
    return this.drawer?.of === 'contact' ? Number(this.drawer.id) : undefined;
  }

  showContact(id: number | undefined): void {
    this.open(id === undefined ? undefined : { of: 'contact', id });
  }

  showHookup(id: string): void {
    this.open({ of: 'hookup', id });
  }

  close(): void {
    this.open(undefined);
  }

  /** Opens something else at the side, or nothing; what is typed there and not saved is asked about first. */
  open(drawer: Drawer | undefined): void {
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

  get #form(): AddressForm {
    return {
      views: this.views.map((view) => view.name),
      firstView: 'log',
      drawers: this.drawers,
      parts: this.#parts,
    };
  }

  #readAddress(): void {
    const address = readAddress(location.hash, this.#form);
    this.view = address.view;
    this.page = address.page;
    this.open(address.drawer);
    for (const part of this.#parts.filter(({ view }) => view === address.view)) {
      const value = address.more[part.name] ?? '';
      if (value !== part.read()) {
        part.write(value);
      }
    }
  }
}
