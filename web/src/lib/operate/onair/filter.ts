import type { AirFilter } from '../../platform/api/client';
import { texts } from './texts';

/** Everything heard in the last half hour. */
export const EVERYTHING: AirFilter = {
  insideLicence: false,
  confirms: false,
  callingCq: false,
  watchedOnly: false,
  quiet: false,
  maxAgeMinutes: 30,
};

/** What may still be worth a call: for the short list on the desk. */
export const WANTED: AirFilter = { ...EVERYTHING, need: 'BAND_AND_MODE', quiet: true };

export const CONTINENTS: { id: string; name: string }[] = [
  { id: 'EU', name: 'Europe' },
  { id: 'AF', name: 'Africa' },
  { id: 'NA', name: texts.northAmerica },
  { id: 'SA', name: texts.southAmerica },
  { id: 'AS', name: 'Asia' },
  { id: 'OC', name: 'Oceania' },
  { id: 'AN', name: 'Antarctica' },
];

export const NEEDS: { id: NonNullable<AirFilter['need']>; name: string }[] = [
  { id: 'EVER', name: 'never worked' },
  { id: 'BAND', name: 'not on the band' },
  { id: 'MODE', name: 'not on the band or in the mode' },
  { id: 'BAND_AND_MODE', name: 'needed in any way' },
  { id: 'PROOF', name: texts.neededOrNotConfirmed },
];

export const GROUPS: { id: 'CW' | 'PHONE' | 'DIGITAL'; name: string }[] = [
  { id: 'CW', name: 'CW' },
  { id: 'PHONE', name: 'phone' },
  { id: 'DIGITAL', name: 'digital' },
];

/** A list with one value more, or without it. */
export function toggled<T>(list: readonly T[] | undefined, value: T): T[] {
  const all = list ?? [];
  return all.includes(value) ? all.filter((one) => one !== value) : [...all, value];
}

/** The filter without what one phrase of its sentence asks. */
export function without(filter: AirFilter, about: string): AirFilter {
  switch (about) {
    case 'HEARERS':
      return { ...filter, hearerContinents: [], hearerEntities: [], hearerZones: [], hearerAreas: [] };
    case 'STATIONS':
      return { ...filter, continents: [], entities: [] };
    case 'MODES':
      return { ...filter, groups: [] };
    case 'BANDS':
      return { ...filter, bands: [] };
    case 'NEED':
      return { ...filter, need: undefined };
    case 'LICENCE':
      return { ...filter, insideLicence: false };
    case 'CONFIRMS':
      return { ...filter, confirms: false };
    case 'CQ':
      return { ...filter, callingCq: false };
    case 'WATCH':
      return { ...filter, watchedOnly: false };
    case 'WORKED':
      return { ...filter, quiet: false };
    case 'SNR':
      return { ...filter, snrFloorDb: undefined };
    default:
      return { ...filter, maxAgeMinutes: EVERYTHING.maxAgeMinutes };
  }
}
