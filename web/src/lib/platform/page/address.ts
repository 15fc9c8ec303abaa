/** What is open at the side: what kind, and for which one. */
export interface Drawer {
  of: string;
  id?: number | string;
}

/** Everything the address says: whoever pastes it sees the same. */
export interface Address {
  view: string;
  /** The page within a view that has several; empty for the first. */
  page: string;
  drawer?: Drawer;
  /** What a feature keeps in the address besides, such as a search. */
  more: Record<string, string>;
}

/** What addresses are made of, as the features say. */
export interface AddressForm {
  views: string[];
  /** The view of an address that names none, or one that is not there. */
  firstView: string;
  drawers: { of: string; id: 'number' | 'text' | 'none' }[];
  /** What may stand in `more`, and in which view. */
  parts: { view: string; name: string }[];
}

/** Reads {@code #/log/statistics?find=band:20m&contact=12}; what is not understood is left out. */
export function readAddress(hash: string, form: AddressForm): Address {
  const [path = '', query = ''] = hash.replace(/^#\/?/, '').split(/\?(.*)/s);
  const [name, page = ''] = path.split('/');
  const params = new URLSearchParams(query);
  const view = form.views.find((v) => v === name) ?? form.firstView;
  const more: Record<string, string> = {};
  for (const part of form.parts) {
    const value = params.get(part.name);
    if (part.view === view && value) {
      more[part.name] = value;
    }
  }
  return { view, page, drawer: readDrawer(params, form), more };
}

function readDrawer(params: URLSearchParams, form: AddressForm): Drawer | undefined {
  for (const { of, id } of form.drawers) {
    const value = params.get(of);
    if (id === 'number' && value !== null && /^\d{1,15}$/.test(value)) {
      return { of, id: Number(value) };
    } else if (id === 'text' && value) {
      return { of, id: value };
    } else if (id === 'none' && params.get('side') === of) {
      return { of };
    }
  }
  return undefined;
}

export function writeAddress({ view, page, drawer, more }: Address): string {
  const params = new URLSearchParams(more);
  if (drawer?.id !== undefined) {
    params.set(drawer.of, String(drawer.id));
  } else if (drawer) {
    params.set('side', drawer.of);
  }
  const query = params.toString();
  return `#/${view}${page === '' ? '' : `/${page}`}${query === '' ? '' : `?${query}`}`;
}
