import { preferred } from './preferred.svelte';
import { texts } from './texts';

/** A frequency in Hz as it is read in tables: kHz with one decimal, thousands apart: `14 074.5`. */
export function kiloHertz(hz: number | undefined): string {
  if (hz === undefined) {
    return '';
  }
  const tenths = Math.round(hz / 100);
  return `${grouped(Math.floor(tenths / 10))}.${tenths % 10}`;
}

/** A frequency in Hz as the readout has it: `14.074 000`. */
export function megaHertz(hz: number): string {
  const digits = String(hz % 1_000_000).padStart(6, '0');
  return `${Math.floor(hz / 1_000_000)}.${digits.slice(0, 3)}\u2009${digits.slice(3)}`;
}

/** A frequency in Hz as one writes it: `145.600`, with more digits only where they say something: `14.285 500`. */
export function shortMegaHertz(hz: number): string {
  return hz % 1000 === 0 ? (hz / 1_000_000).toFixed(3) : megaHertz(hz);
}

/** A whole number with thin groups of three: `12 486`. */
export function grouped(n: number): string {
  return String(n).replace(/\B(?=(\d{3})+(?!\d))/g, '\u2009');
}

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** The day of an ISO instant, UTC, as the station likes it: `2026-05-01`, `01.05.2026` or `01 May 2026`. */
export function utcDate(instant: string): string {
  const [year = '', month = '', day = ''] = instant.slice(0, 10).split('-');
  switch (preferred.dateForm) {
    case 'DAY_FIRST':
      return `${day}.${month}.${year}`;
    case 'MONTH_NAMED':
      return `${day} ${MONTHS[Number(month) - 1] ?? month} ${year}`;
    default:
      return `${year}-${month}-${day}`;
  }
}

const KM_PER_MILE = 1.609344;

/** A distance as the station likes it: `7 832 km` or `4 867 mi`. */
export function distance(km: number): string {
  return preferred.miles
    ? texts.miKm(grouped(Math.round(km / KM_PER_MILE)))
    : `${grouped(Math.round(km))} km`;
}

/** `18:50` on the second clock. */
export function secondTime(now: number): string {
  return new Date(now).toLocaleTimeString('en-GB', {
    hour: '2-digit',
    minute: '2-digit',
    timeZone: preferred.secondClock || undefined,
  });
}

/** What the second clock is called: the city of its zone, else `local`. */
export function secondName(): string {
  return preferred.secondClock.split('/').at(-1)?.replaceAll('_', ' ') || 'local';
}

/** `14:07` of an ISO instant, UTC. */
export function utcMinute(instant: string): string {
  return instant.slice(11, 16);
}

/** A moment as date and minute, UTC. */
export function utcMoment(instant: string): string {
  return `${utcDate(instant)} ${utcMinute(instant)}`;
}

/** `14:07:31` of an ISO instant, UTC. */
export function utcSecond(instant: string): string {
  return instant.slice(11, 19);
}

/** The same instant on the second clock, for a hover. */
export function localTime(instant: string): string {
  const zone = preferred.secondClock || undefined;
  return texts.timeZone(new Date(instant).toLocaleString(undefined, { timeZone: zone }), secondName());
}

/** How long ago, roughly: `now`, `40 s ago`, `3 min ago`, `2 h ago`, then the date. */
export function ago(instant: string, now: number): string {
  const seconds = Math.max(0, Math.round((now - Date.parse(instant)) / 1000));
  if (seconds < 3) return texts.now;
  if (seconds < 60) return texts.sAgoSeconds(seconds);
  if (seconds < 3600) return texts.minAgoSeconds(Math.floor(seconds / 60));
  if (seconds < 86400) return texts.hAgoSeconds(Math.floor(seconds / 3600));
  return utcDate(instant);
}

/** How long until: `in 12 s`, `in 4 min`, or `now`. */
export function until(instant: string, now: number): string {
  const seconds = Math.round((Date.parse(instant) - now) / 1000);
  if (seconds <= 0) return texts.now;
  return seconds < 60 ? texts.inSSeconds(seconds) : texts.inMinSeconds(Math.ceil(seconds / 60));
}

const PLURALS = new Intl.PluralRules('en');

/** The forms of a text by number, by the rules of its language; `other` is the one for all not named. */
export type Forms = Partial<Record<Intl.LDMLPluralRule, string>> & { other: string };

/** The form for a number: `record` of `{ one: 'record', other: 'records' }`. */
export function form(n: number, forms: Forms): string {
  return forms[PLURALS.select(n)] ?? forms.other;
}

/** `1 contact`, `12 contacts`. */
export function counted(n: number, one: string): string {
  return `${grouped(n)} ${form(n, { one, other: `${one}s` })}`;
}
