import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // AddHookup
  clusterOrSkimmer: 'Cluster or skimmer',
  digitalProgram: 'Digital program',
  textDecoder: 'Radioteletype decoder',
  add: 'Add',
  service: 'Service',
  callbook: 'Callbook',
  programsConnectByThemselvesSet:
    'Programs connect by themselves: set them to send to this computer, UDP port 7373 for the digital link or 7371 for ADIF. They appear below as soon as they send something; what each port takes is under',
  intakeSources: 'Intake, Sources',

  // HookupDrawer
  hookup: 'Hookup',
  setItUpSo: 'Set it up so',
  itWasTakenDown: 'It was taken down.',
  findOutWhatAnswersThere: 'Find out what answers there',
  setItUpInABook: 'Set it up in a contest book, under Scoreboard or Hand in',
  seeItsLane: 'See its lane',
  chooseTheFolder: 'Choose the folder',
  setTheCallbookUp: 'Set the callbook up',
  chooseTheTimeServer: 'Choose the time server',
  seeWhatArrivedLately: 'See what arrived lately',

  // HookupsView
  hookups: 'Hookups',
  everythingThatFeedsTheLog:
    'Everything that feeds the log is on the left; what takes from it is on the right.',
  sources: 'Sources',
  log: 'Log',
  inRecords: (records: TextPart) => `${records} in`,
  outContacts: (contacts: TextPart) => `${contacts} out`,
  inTheLastMinute: 'in the last minute',
  services: 'Services',
  other: 'Other',

  // Yoke
  yoke: 'Yoke',
  moreAllHookups: (more: TextPart, words: TextPart) => `${more} more${words}: all hookups`,
  inTroubleMoreTroubled: (moreTroubled: TextPart) => `${moreTroubled} in trouble`,

  // YokeHub
  whatWouldBeLoggedNow: (name: TextPart) => `${name}: what would be logged now`,
  timeWhen: (when: TextPart, secondName: TextPart) => `${when} ${secondName} time`,
  clockOffset: (offset: TextPart) => `clock ${offset}`,
};
