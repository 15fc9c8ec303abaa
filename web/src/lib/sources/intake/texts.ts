import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // Counts
  new: 'new',
  newInTheLog: 'new in the log',
  addSomethingToContactsIn: 'add something to contacts in the log',
  inTheLogAlready: 'in the log already',
  leftOutByYourChoices: 'left out, by your choices',
  cannotBeTaken: 'cannot be taken',
  counts: 'Counts',
  toFirstDay: (firstDay: TextPart, lastDay: TextPart) => `, ${firstDay} to ${lastDay}`,

  // FollowForm
  followAFile: 'Follow a file',
  theAdiFileAProgram: 'The ADI file a program writes; it is read only, never changed',
  looking: 'Looking…',
  lookWhereProgramsKeepTheirs: 'Look where programs keep theirs',
  logsThatWereFound: 'Logs that were found',
  theContentOfItAlready: 'The content of it already',
  takeEverything: 'take everything',
  onlyWhatComesFromNow: 'only what comes from now on',
  fromADayOn: 'from a day on',
  fromThisDayOnUtc: 'From this day on, UTC',
  lookAtIt: 'Look at it',
  noAdiLogWasFound: 'No ADI log was found in the usual folders. Type its path.',
  writtenWhen: (when: TextPart) => `written ${when}`,
  followIt: 'Follow it',
  cancel: 'Cancel',
  nothingOfWhatWasCounted: 'Nothing of what was counted is taken; what its program adds from now on is.',

  // ImportPage
  choices: 'Choices',
  keptAsConfirmedByIt: 'kept as confirmed by it',
  leftBlank: 'left blank',
  contactsThatAreInThe: 'Contacts that are in the log already',
  takeWhatTheLogDoes: 'take what the log does not have',
  leaveTheLogAsIt: 'leave the log as it is',
  onlyFromThisDayOn: 'Only from this day on, UTC',
  countConfirmedBy: (count: TextPart, origin: TextPart) => `${count} confirmed by ${origin}`,
  thatIsHere: (name: TextPart) => `that is ${name} here`,
  chooseAnotherFile: 'Choose another file',
  lookAtTheLog: 'Look at the log',
  undoTheImport: 'Undo the import',
  howItIsTakenIn: 'How it is taken in',
  madeWith: 'Made with',
  confirmedByAndKeptSo: (count: TextPart, origin: TextPart) =>
    `${count} confirmed by ${origin}, and kept so.`,
  importContactsWords: (words: TextPart) => `Import ${words} contacts`,
  lookAgainWithTheseChoices: 'Look again with these choices',

  // IntakeView
  journal: 'Journal',
  everyReceivedRecordWithWhat: 'Every received record, with what was decided about it.',
  sources: 'Sources',
  whereRecordsComeFromAnd: 'Where records come from, and what is done with them.',
  import: 'Import',
  aLogIsPreviewedFirst: 'A log is previewed first; nothing is imported until you confirm.',
  intake: 'Intake',

  // Journal
  contactLine: 'Contact line',
  call: 'Call',
  any: 'any',
  decision: 'Decision',
  source: 'Source',
  repeatsAreKept: 'Repeats are kept',
  forEver: 'for ever',
  noRecordIsLikeThat: 'No record is like that.',
  nothingHasComeInYet:
    'Nothing has come in yet. Follow the file of a program, or send a record to one of the ports.',
  hideRecord: 'Hide record',
  record: 'Record',
  days: (days: TextPart) => `${days} days`,
  readingTheJournal: 'Reading the journal…',
  from: 'From',
  why: 'Why',
  lookAt: 'Look at',
  contact: 'Contact',
  olderOnes: 'Older ones',

  // JournalRecord
  theRecordPutRightWhat: 'The record; put right what is wrong and send it through',
  sendItThroughAgain: 'Send it through again',

  // LogToLookAt
  aLogToLookAt: 'A log to look at',
  chooseALog: 'Choose a log',
  orWhereItLiesA: 'Or where it lies: a path on this computer, or the address of a device in the house',
  yesFetchItFrom: (host: TextPart) => `Yes, fetch it from ${host}`,
  orDropOneHereAdi: 'or drop one here: ADI, ADX or Cabrillo, also in gzip or zip',
  thisAddressIsTheDevice: (host: TextPart) => `This address is the device ${host}. Is that the one you mean?`,

  // PortForm
  listenOnAPort: 'Listen on a port',
  programsSend: 'Programs send',
  adifDatagramsUdp: 'ADIF datagrams (UDP)',
  anAdifStreamTcp: 'an ADIF stream (TCP)',
  port: 'Port',

  // Records
  nothing: 'nothing',
  camePath: (path: TextPart) => `Came ${path}`,
  readingItsRecords: 'Reading its records…',
  noRecordOfItIs: 'No record of it is left in the journal.',
  logWords: (words: TextPart) => `log: ${words}`,
  makeTheChosenAContact: 'Make the chosen a contact of their own',
  joinWithAnotherContact: 'Join with another contact',
  thereIsNoOtherContact: (call: TextPart) => `There is no other contact with ${call}.`,
  join: 'Join',

  // SourceChoices
  onlyContactsOfTheseCalls: 'Only contacts of these calls or operators',
  emptyForAll: 'empty for all',
  operatorWhereTheRecordHas: 'Operator, where the record has none',
  radioWhereNeitherBandNor: 'Radio, where neither band nor frequency is given',
  none: 'None',
  placeWhereTheRecordHas: 'Place, where the record has none',
  lookUpNameAndLocator: 'Look up name and locator in the callbook',
  holdWithTheServicesUntil: 'Hold with the services until I let them go',

  // SourceForm
  name: 'Name',
  setUpName: (name: TextPart) => `Set up ${name}`,

  // SourcesPage
  held: 'held',
  ofMayGoToThe: (contacts: TextPart, name: TextPart) => `${contacts} of ${name} may go to the services now.`,
  noneSinceTheStart: 'none since the start',
  lookedUp: 'looked up',
  notLookedUp: 'not looked up',
  onlyList: (list: TextPart) => `only ${list}`,
  byOperatorCall: (operatorCall: TextPart) => `by ${operatorCall}`,
  atPlaceId: (placeId: TextPart) => `at ${placeId}`,
  importALogOnce: 'Import a log once',
  where: 'Where',
  state: 'State',
  lastMinute: 'Last minute',
  lastRecord: 'Last record',
  do: 'Do',
  letGoHeld: (held: TextPart) => `Let ${held} go`,
  test: 'Test',
  setUp: 'Set up',

  // TryoutPanel
  addsSomething: 'adds something',
  someOfTheRecords: 'Some of the records',
  recordsThatCannotBeTaken: 'Records that cannot be taken',
  readingName: (name: TextPart) => `Reading ${name}`,
  importingName: (name: TextPart) => `Importing ${name}`,
  recordsASecond: (recordsPerSecond: TextPart) => `, ${recordsPerSecond} records a second`,
  stop: 'Stop',
  band: 'Band',
  mode: 'Mode',
  thatCannotBeTakenThe: (records: TextPart) => `${records} that cannot be taken; the others go through`,
  line: 'Line',
  whatIsWrong: 'What is wrong',

  // WhyNot
  whyIsItNotIn: 'Why is it not in my log?',
  aboutWhenUtcEmptyFor: 'About when, UTC; empty for whenever',
  findOut: 'Find out',
  itsRecords: 'Its records',
  bringItBack: 'Bring it back',

  // feature
  importALog: 'Import a log',
  adifAdiAdxCabrilloFile: 'adif adi adx cabrillo file open',
  followALogFile: 'Follow a log file',
  watchFolderProgramAdiSet: 'watch folder program adi set up add',
  whyIsAContactNot: 'Why is a contact not in the log?',

  // tryout

  // journal
  refused: 'refused',
  leftOut: 'left out',
  cameAgain: 'came again',
  merged: 'merged',
  added: 'added',
};
