import { texts } from './texts';

/** The fields everybody looks for first, in the order of a contact, with what they are called on screen. */
export const MAIN_FIELDS: { name: string; label: string; wide?: boolean }[] = [
  { name: 'CALL', label: texts.call },
  { name: 'STATION_CALLSIGN', label: texts.ownCall },
  { name: 'QSO_DATE', label: texts.dateUtcYyyymmdd },
  { name: 'TIME_ON', label: texts.startUtcHhmmss },
  { name: 'BAND', label: texts.band },
  { name: 'FREQ', label: texts.frequencyMhz },
  { name: 'MODE', label: texts.mode },
  { name: 'SUBMODE', label: texts.submode },
  { name: 'RST_SENT', label: texts.reportSent },
  { name: 'RST_RCVD', label: texts.reportReceived },
  { name: 'NAME', label: texts.name },
  { name: 'QTH', label: texts.town },
  { name: 'GRIDSQUARE', label: texts.locator },
  { name: 'COUNTRY', label: texts.country },
  { name: 'COMMENT', label: texts.comment, wide: true },
];

/** Propagation modes an operator chooses from, those met most first; the value is the code of ADIF 3.1.4, III.B.15. */
export const PROPAGATION: { code: string; label: string }[] = [
  { code: '', label: texts.notSaid },
  { code: 'RPT', label: texts.repeater },
  { code: 'ECH', label: texts.linkedRepeaters },
  { code: 'IRL', label: texts.internetLinkedRepeater },
  { code: 'INTERNET', label: texts.internet },
  { code: 'SAT', label: texts.isSatellite },
  { code: 'ES', label: texts.sporadicE },
  { code: 'TR', label: texts.troposphericDucting },
  { code: 'EME', label: texts.earthMoonEarth },
  { code: 'MS', label: texts.meteorScatter },
  { code: 'AUR', label: texts.aurora },
  { code: 'F2', label: texts.f2Reflection },
  { code: 'LOS', label: texts.lineOfSight },
  { code: 'GWAVE', label: texts.groundWave },
  { code: 'TEP', label: texts.transEquatorial },
  { code: 'AS', label: texts.aircraftScatter },
  { code: 'RS', label: texts.rainScatter },
  { code: 'BS', label: texts.backScatter },
  { code: 'ION', label: texts.ionoscatter },
  { code: 'FAI', label: texts.fieldAlignedIrregularities },
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
