import type { AppState, View } from './app.svelte';

/** Something a person can do from the keyboard. */
export interface Action {
  label: string;
  /** The single key that does it outside of fields, or two in a row: `g d`. */
  keys?: string;
  /** Other ways, for reading only. */
  also?: string;
  /** Further words one may look for it by. */
  words?: string;
  /** Whether it can be done now; always, when left out. */
  possible?: () => boolean;
  run: () => unknown;
}

/** The views one goes to, in their order. */
export const PLACES: { view: View; key: string; label: string }[] = [
  { view: 'desk', key: 'd', label: 'Desk' },
  { view: 'on-air', key: 'a', label: 'On air' },
  { view: 'log', key: 'l', label: 'Log' },
  { view: 'intake', key: 'i', label: 'Intake' },
  { view: 'services', key: 's', label: 'Services' },
  { view: 'hookups', key: 'h', label: 'Hookups' },
  { view: 'station', key: 't', label: 'Station' },
];

/** All that can be done from anywhere, for the key map, the palette and the keys themselves. */
export function actions(app: AppState): Action[] {
  const way = () =>
    app.view === 'desk' || app.view === 'on-air' ? app.partner.view?.whereabouts?.path : undefined;
  const onAir = () => app.view === 'desk' || app.view === 'on-air';
  const canTurn = () => way() !== undefined && app.rotors.chosen !== undefined;
  const beam = (degrees: number | undefined) =>
    degrees === undefined ? undefined : app.rotors.point(Math.round(degrees) % 360);
  return [
    { label: 'Type a contact', keys: 'c', words: 'log enter new qso entry', run: () => app.askForLine() },
    {
      label: 'The next station on the air, and there',
      keys: '.',
      words: 'spot cluster',
      possible: onAir,
      run: () => app.stepSpot(1),
    },
    {
      label: 'The station before, and there',
      keys: ',',
      possible: onAir,
      run: () => app.stepSpot(-1),
    },
    { label: 'Hide the station', keys: 'x', possible: onAir, run: () => app.strikeSpot() },
    { label: 'Post a spot', words: 'cluster announce', run: () => app.go('on-air') },
    {
      label: 'What counts as needed',
      words: 'goals wanted new one award',
      run: () => app.go('on-air', 'goals'),
    },
    { label: 'What is announced', words: 'alerts sound notification', run: () => app.go('on-air', 'alerts') },
    {
      label: 'Solar figures and grey line',
      words: 'sun propagation flux',
      run: () => app.go('on-air', 'sun'),
    },
    { label: 'Who hears us', words: 'spotted skimmer', run: () => app.go('on-air', 'us') },
    { label: 'Search the log', keys: '/', words: 'find filter', run: () => app.searchLog() },
    ...PLACES.map(({ view, key, label }) => ({
      label: `Go to ${label}`,
      keys: `g ${key}`,
      run: () => app.go(view),
    })),
    {
      label: 'Import a log',
      words: 'adif adi adx cabrillo file open',
      run: () => app.go('intake', 'import'),
    },
    { label: 'Export the log', words: 'adif adi adx csv save print download', run: () => app.go('log') },
    {
      label: 'Connect a radio',
      words: 'rig cat serial transceiver set up add',
      run: () => app.go('hookups'),
    },
    { label: 'Connect a rotator', words: 'antenna beam set up add', run: () => app.go('hookups') },
    {
      label: 'Connect a cluster node or skimmer feed',
      words: 'spots telnet feed set up add',
      run: () => app.go('hookups'),
    },
    {
      label: 'Connect a digital program',
      words: 'ft8 decode link udp datagram set up add',
      run: () => app.go('intake', 'sources'),
    },
    {
      label: 'Follow a log file',
      words: 'watch folder program adi set up add',
      run: () => app.go('intake', 'sources'),
    },
    { label: 'Set up a service', words: 'upload account confirmation qsl', run: () => app.go('services') },
    { label: 'Paper cards and labels', words: 'qsl bureau print', run: () => app.go('services', 'cards') },
    { label: 'Radio mail', words: 'outbox packet offline', run: () => app.go('services', 'mail') },
    {
      label: 'Calls and operators',
      words: 'callsign licence special event',
      run: () => app.go('station', 'calls'),
    },
    { label: 'Places', words: 'locator grid portable qth antenna', run: () => app.go('station', 'places') },
    {
      label: 'Positions',
      words: 'browser tablet second operator',
      run: () => app.go('station', 'positions'),
    },
    { label: 'Bands, channels and units', words: 'repeater km miles', run: () => app.go('station', 'bands') },
    { label: 'Clocks', words: 'time utc ntp', run: () => app.go('station', 'clocks') },
    { label: 'Callbook', words: 'lookup name address', run: () => app.go('station', 'callbook') },
    { label: 'Why is a contact not in the log?', run: () => app.go('intake') },
    { label: 'Statistics of the log', run: () => app.go('log', 'statistics') },
    {
      label: 'Undo the last change of the log',
      also: 'Ctrl+Z',
      possible: () => app.changes.undoable !== undefined,
      run: () => app.changes.undo(app.changes.undoable?.id),
    },
    { label: 'What was changed lately', run: () => app.showChanges() },
    {
      label: 'Beam to the partner, short way',
      keys: 'b',
      also: 'Alt+B while typing',
      possible: canTurn,
      run: () => beam(way()?.bearingDegrees),
    },
    {
      label: 'Beam to the partner, long way',
      keys: 'B',
      also: 'Alt+Shift+B while typing',
      possible: canTurn,
      run: () => beam(way()?.longPathDegrees),
    },
    {
      label: 'Next radio',
      keys: 'r',
      possible: () => app.radios.all.length > 1,
      run: () => app.radios.next(),
    },
    { label: 'Who and where I am', keys: 'p', run: () => app.showPosition() },
    { label: 'Contact line in fields, or in one line', run: () => (app.lineInFields = !app.lineInFields) },
    {
      label: 'Back up and restore',
      words: 'backup copy save recover disk',
      run: () => app.go('station', 'safety'),
    },
    { label: 'Next theme: night, day, red lamp', words: 'dark light colour', run: () => app.nextTheme() },
    { label: 'Show the keys', keys: '?', words: 'help shortcuts keyboard', run: () => app.showKeys() },
  ];
}

/** Keys that work within something, for the key map. */
export const LOCAL_KEYS: { where: string; keys: string; label: string }[] = [
  { where: 'Contact line', keys: 'Enter', label: 'Log, or tune when it is only a frequency or mode' },
  { where: 'Contact line', keys: 'Esc', label: 'Clear' },
  {
    where: 'Contact line',
    keys: 'Ctrl+Z',
    label: 'On the empty line: bring back, else take back the last contact',
  },
  { where: 'Contact line', keys: '↑ ↓', label: 'A line set aside, then lines logged before' },
  { where: 'Contact line', keys: 'Ctrl+.', label: 'The other meaning of a word in doubt' },
  { where: 'Contact line', keys: 'Alt+Y, Alt+N', label: 'Answer "same contact?": yes, no' },
  { where: 'Contact line', keys: 'Tab', label: 'Through the likely calls; Enter takes one' },
  { where: 'Log', keys: '↑ ↓ PgUp PgDn Home End', label: 'Move' },
  { where: 'Log', keys: 'Enter', label: 'Open the contact' },
  { where: 'Log', keys: 'e', label: 'Edit in place; Tab goes on, Enter saves' },
  { where: 'Log', keys: 'Space, Shift+↑↓, Ctrl+A', label: 'Choose contacts' },
  { where: 'Log', keys: 'a', label: 'To the actions for what is chosen; Esc goes back' },
  { where: 'On air', keys: '↑ ↓ PgUp PgDn Home End', label: 'Choose a station' },
  { where: 'On air', keys: 'Enter', label: 'Go there: radio, contact line, card' },
  { where: 'On air', keys: 'Ctrl+Enter', label: 'Have the program answer a decode (transmits)' },
  { where: 'On air', keys: 'x', label: 'Hide the station' },
  { where: 'Ladder', keys: '+ − ↑ ↓', label: 'Zoom and move' },
  { where: 'Readout', keys: 'figures, ↑ ↓', label: 'Tune' },
  { where: 'Compass', keys: '← →, s', label: 'Turn, stop' },
  { where: 'Anywhere', keys: 'Ctrl+K', label: 'Do anything by its name' },
  { where: 'Anywhere', keys: 'Esc', label: 'Close what is open' },
];

/** The actions whose words fit what was typed, in any order of words. */
export function fitting(all: Action[], typed: string): Action[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  return all.filter(
    (action) =>
      (action.possible?.() ?? true) &&
      words.every((word) => `${action.label} ${action.words ?? ''}`.toLowerCase().includes(word)),
  );
}
