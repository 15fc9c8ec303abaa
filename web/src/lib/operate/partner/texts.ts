import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // Matrix
  workedByBandAndMode: 'Worked by band and mode: round is this station, square its entity',
  stationEntityBand: (band: TextPart, label: TextPart, own: TextPart, whole: TextPart) =>
    `${band} ${label}: station ${own}, entity ${whole}`,
  mode: 'Mode',

  // PartnerCard
  neverConfirmed: 'never confirmed',
  workedTimes: (times: TextPart) => `Worked ${times}, `,
  confirmed: (confirmed: TextPart) => `${confirmed} confirmed`,
  partner: 'Partner',
  askingTheCallbook: 'Asking the callbook…',
  noNameKnownYet: 'No name known yet',
  earlierContacts: 'Earlier contacts',
  atHomeCall: (call: TextPart) => `${call} at home`,
  zonesAndName: (name: TextPart, continent: TextPart, cqZone: TextPart, ituZone: TextPart) =>
    `${name} · ${continent} · zones ${cqZone} and ${ituZone}`,
  atSeaInTheAir: 'At sea, in the air, or an unknown prefix',
  notWorkedBefore: 'Not worked before',
  lastOfDate: (date: TextPart) => `, last of ${date}`,
  confirmsWithLastLogOf: (service: TextPart, date: TextPart) =>
    `Confirms with ${service}, last log of ${date}`,
  handedItsLogToCountersign: (lastHandedIn: TextPart) =>
    `Handed its log to Countersign last on ${lastHandedIn}`,
  theCallbookCannotBeAsked: 'The callbook cannot be asked now.',
  typeACallIntoThe:
    'Type a call into the line below, and who that is appears here: history, need, distance, sun.',

  // PathMap
  entity: 'entity',
  pathMap: 'Path map',
  worldWithNightBeamAnd: 'World with night, beam and path',
  theMiddleOfTheEntity: 'the middle of the entity',
  byItsLocator: 'by its locator',
  bOrAltBWhile: 'b, or Alt+B while typing',
  shiftBOrAltShift: 'Shift+B, or Alt+Shift+B while typing',
  sunToUtcByThe: (words: TextPart, words2: TextPart, sunTime: TextPart) =>
    `sun ${words} to ${words2} UTC, ${sunTime} by the sun there`,
  onTheGreyLine: 'on the grey line',
  beamBearingDegrees: (bearingDegrees: TextPart) => `Beam ${bearingDegrees}°`,
  longLongPathDegrees: (longPathDegrees: TextPart) => `Long ${longPathDegrees}°`,
  giveThisPositionAPlace: 'Give this position a place with a locator, and the map turns round it.',
  chooseThePlace: 'Choose the place',
  typeACallOrChoose: 'Type a call, or choose a contact, to see the way there.',

  // feature
  beamToThePartnerShort: 'Beam to the partner, short way',
  altBWhileTyping: 'Alt+B while typing',
  beamToThePartnerLong: 'Beam to the partner, long way',
  altShiftBWhileTyping: 'Alt+Shift+B while typing',
};
