/** The views, as the address names them. */
export const VIEWS = [
  'desk',
  'on-air',
  'log',
  'intake',
  'hookups',
  'services',
  'station',
  'first-steps',
] as const;
export type View = (typeof VIEWS)[number];

/** What is open at the side. */
export type Drawer =
  { of: 'contact'; id: number } | { of: 'hookup'; id: string } | { of: 'position' } | { of: 'changes' };

/** Everything the address says: whoever pastes it sees the same. */
export interface Address {
  view: View;
  /** The page within a view that has several; empty for the first. */
  page: string;
  drawer?: Drawer;
  /** What the log is searched for. */
  search: string;
  /** The service whose lane is looked at. */
  lane?: number;
}

/** Reads {@code #/log/statistics?find=band:20m&contact=12}; what is not understood is left out. */
export function readAddress(hash: string): Address {
  const [path = '', query = ''] = hash.replace(/^#\/?/, '').split(/\?(.*)/s);
  const [name, page = ''] = path.split('/');
  const said = new URLSearchParams(query);
  return {
    view: VIEWS.find((v) => v === name) ?? 'log',
    page,
    drawer: readDrawer(said),
    search: said.get('find') ?? '',
    lane: wholeNumber(said.get('lane')),
  };
}

function readDrawer(said: URLSearchParams): Drawer | undefined {
  const contact = wholeNumber(said.get('contact'));
  const hookup = said.get('hookup');
  const side = said.get('side');
  if (contact !== undefined) {
    return { of: 'contact', id: contact };
  } else if (hookup) {
    return { of: 'hookup', id: hookup };
  }
  return side === 'position' || side === 'changes' ? { of: side } : undefined;
}

function wholeNumber(text: string | null): number | undefined {
  return text !== null && /^\d{1,15}$/.test(text) ? Number(text) : undefined;
}

export function writeAddress({ view, page, drawer, search, lane }: Address): string {
  const said = new URLSearchParams();
  if (view === 'log' && search !== '') {
    said.set('find', search);
  }
  if (view === 'services' && lane !== undefined) {
    said.set('lane', String(lane));
  }
  if (drawer?.of === 'contact') {
    said.set('contact', String(drawer.id));
  } else if (drawer?.of === 'hookup') {
    said.set('hookup', drawer.id);
  } else if (drawer) {
    said.set('side', drawer.of);
  }
  const query = said.toString();
  return `#/${view}${page === '' ? '' : `/${page}`}${query === '' ? '' : `?${query}`}`;
}
