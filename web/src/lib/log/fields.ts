/** The fields everybody looks for first, in the order of a contact, with what they are called on screen. */
export const MAIN_FIELDS: { name: string; label: string; wide?: boolean }[] = [
  { name: 'CALL', label: 'Call' },
  { name: 'STATION_CALLSIGN', label: 'Own call' },
  { name: 'QSO_DATE', label: 'Date, UTC (YYYYMMDD)' },
  { name: 'TIME_ON', label: 'Start, UTC (HHMMSS)' },
  { name: 'BAND', label: 'Band' },
  { name: 'FREQ', label: 'Frequency, MHz' },
  { name: 'MODE', label: 'Mode' },
  { name: 'SUBMODE', label: 'Submode' },
  { name: 'RST_SENT', label: 'Report sent' },
  { name: 'RST_RCVD', label: 'Report received' },
  { name: 'NAME', label: 'Name' },
  { name: 'QTH', label: 'Town' },
  { name: 'GRIDSQUARE', label: 'Locator' },
  { name: 'COUNTRY', label: 'Country' },
  { name: 'COMMENT', label: 'Comment', wide: true },
];

/** Propagation modes an operator chooses from, those met most first; the value is the code of ADIF 3.1.4, III.B.15. */
export const PROPAGATION: { code: string; label: string }[] = [
  { code: '', label: 'not said' },
  { code: 'RPT', label: 'repeater' },
  { code: 'ECH', label: 'linked repeaters' },
  { code: 'IRL', label: 'internet-linked repeater' },
  { code: 'INTERNET', label: 'internet' },
  { code: 'SAT', label: 'satellite' },
  { code: 'ES', label: 'sporadic E' },
  { code: 'TR', label: 'tropospheric ducting' },
  { code: 'EME', label: 'earth-moon-earth' },
  { code: 'MS', label: 'meteor scatter' },
  { code: 'AUR', label: 'aurora' },
  { code: 'F2', label: 'F2 reflection' },
  { code: 'LOS', label: 'line of sight' },
  { code: 'GWAVE', label: 'ground wave' },
  { code: 'TEP', label: 'trans-equatorial' },
  { code: 'AS', label: 'aircraft scatter' },
  { code: 'RS', label: 'rain scatter' },
  { code: 'BS', label: 'back scatter' },
  { code: 'ION', label: 'ionoscatter' },
  { code: 'FAI', label: 'field-aligned irregularities' },
  { code: 'AUE', label: 'aurora-E' },
];

const SHOWN_ABOVE = new Set([...MAIN_FIELDS.map((f) => f.name), 'PROP_MODE']);

/** The names of the fields a contact has besides those shown first. */
export function otherFields(fields: Record<string, string>): string[] {
  return Object.keys(fields).filter((name) => !SHOWN_ABOVE.has(name));
}

/** Which fields differ between what was read and what is in the form. */
export function changedFields(
  read: Record<string, string>,
  form: Record<string, string>,
): Record<string, string> {
  const changes: Record<string, string> = {};
  for (const [name, value] of Object.entries(form)) {
    if ((read[name] ?? '') !== value.trim()) {
      changes[name] = value.trim();
    }
  }
  return changes;
}

type Fields = Record<string, string>;

/** The fields that both this form and somebody else changed, differently; with what the other made of them. */
export function clashes(before: Fields, now: Fields, form: Fields): Fields {
  const mine = changedFields(before, form);
  return Object.fromEntries(
    Object.keys(mine)
      .filter((name) => (now[name] ?? '') !== (before[name] ?? '') && (now[name] ?? '') !== mine[name])
      .map((name) => [name, now[name] ?? '']),
  );
}

/** The form with the fields nobody typed into as they are now. */
export function followed(before: Fields, now: Fields, form: Fields): Fields {
  const mine = changedFields(before, form);
  const names = new Set([...Object.keys(form), ...otherFields(now)]);
  return Object.fromEntries(
    [...names].map((name) => [name, name in mine ? (form[name] ?? '') : (now[name] ?? '')]),
  );
}
