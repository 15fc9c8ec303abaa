import type { TextPart } from '../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // StationView
  callsAndOperators: 'Calls and operators',
  places: 'Places',
  positions: 'Positions',
  bandsAndModes: 'Bands and modes',
  unitsAndClocks: 'Units and clocks',
  callbookAndLists: 'Callbook and lists',
  keepingItSafe: 'Keeping it safe',
  settingsFile: 'Settings file',
  station: 'Station',
  stationPages: 'Station pages',
  everythingHereIsSavedAs: 'Everything here is saved as soon as you leave a field; a tick says so.',
  theStationHasNoYet: (words: TextPart) => `The station has no ${words} yet.`,
  takeTheFirstSteps: 'Take the first steps',
  aMinuteOrTwo: ', a minute or two.',
  readingTheStation: 'Reading the station…',

  // feature
  firstSteps: 'First steps',
  callsignLicenceSpecialEvent: 'callsign licence special event',
  locatorGridPortableQthAntenna: 'locator grid portable qth antenna',
  bandsChannelsAndUnits: 'Bands, channels and units',
  repeaterKmMiles: 'repeater km miles',
  clocks: 'Clocks',
  timeUtcNtp: 'time utc ntp',
  callbook: 'Callbook',
  lookupNameAddress: 'lookup name address',
  backUpAndRestore: 'Back up and restore',
  backupCopySaveRecoverDisk: 'backup copy save recover disk',
};
