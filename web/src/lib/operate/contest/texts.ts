import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // BookContacts
  contacts: 'Contacts',
  noContactInTheBookYet:
    'No contact in the book yet. Type a call and the exchange on the line below, and press Enter.',
  time: 'UTC',
  call: 'Call',
  band: 'Band',
  mode: 'Mode',
  received: 'Received',
  points: 'Points',
  brings: 'Brings',
  bonus: (points: TextPart) => `bonus ${points}`,
  theLatest: (shown: TextPart, all: TextPart) => `The latest ${shown} of ${all}.`,

  // BookFindings
  checkingTheLog: 'Checking the log…',
  likelyMistakes: 'Likely mistakes',
  nothingOdd: 'Nothing odd was found in this log.',
  serialsMissing: 'Serials in no contact, though higher ones are:',
  sentAndNotLogged: (serial: TextPart, call: TextPart, at: TextPart) =>
    `${serial} (sent to ${call} at ${at})`,
  whatIsOdd: 'What is odd',
  atStake: 'At stake',
  changeTo: (call: TextPart) => `Change to ${call}`,

  // BookForm
  newBook: 'New contest book',
  correctBook: 'What you send',
  contest: 'Contest',
  yourCall: 'Your call',
  power: 'Power',
  choose: 'Choose…',
  sentField: (name: TextPart) => `You send: ${name}`,
  fromTheStation: 'from the station’s settings',
  begin: 'Begin',
  save: 'Save',
  cancel: 'Cancel',

  // BookHeader
  noOverlay: 'none',
  powerAndExchange:
    'Power and what you send are under Correct… The claimed score is counted when the log is exported.',

  // BookImport
  importALog: 'Import…',
  importIntoTheBook: 'Import into the book',
  contactsOfThisContest:
    'An ADI, ADX or Cabrillo file with contacts of this contest, made by another program or on another computer. What is in the log already stays one contact.',
  chooseTheFile: 'Choose the file…',
  readingTheFile: 'Reading the file…',
  imported: (read: TextPart, added: TextPart, known: TextPart, refused: TextPart) =>
    `${read} read: ${added} added, ${known} in the log already, ${refused} refused.`,
  line: 'Line',
  whyRefused: 'Why it was refused',
  moreInTheJournal: (more: TextPart) => `More refused: ${more}. All are in the journal, under Intake.`,
  close: 'Close',

  // BookList
  contestBooks: 'Contest books',
  aBookCounts:
    'A book counts the contacts of one contest by its rules, whichever way they come into the log.',
  readingTheBooks: 'Reading the contest books…',
  noBookYet: 'No contest book yet. Begin one for the contest you take part in.',
  beginABook: 'Begin a book',
  contestDefinitions: 'Definitions',
  fromUntil: 'From – until (UTC)',
  state: 'State',

  // BookMultipliers
  multipliers: 'Multipliers',
  readingTheMultipliers: 'Reading the multipliers…',
  noMultiplierYet: 'No multiplier yet. Each one shows here with the bands on which it was worked.',
  workedOn: (value: TextPart, band: TextPart) => `${value} worked on ${band}`,

  // BookProgress
  readingTheProgress: 'Reading rates and hours…',
  rates: 'Rates and time',
  last10Minutes: 'Last 10 minutes',
  last60Minutes: 'Last 60 minutes',
  last10Contacts: 'Last 10 contacts',
  last100Contacts: 'Last 100 contacts',
  anHour: (rate: TextPart) => `${rate} /h`,
  operatingTime: 'Operating time',
  timeLeft: 'Time left',
  running: 'running',
  searching: 'searching',
  notKnown: 'frequency not known',
  off: 'off',
  breaksFrom: (minutes: TextPart) => `Breaks from ${minutes} min are not counted.`,
  goal: 'Goal',
  noGoal: 'none',
  reached: 'Reached',
  byHour: 'By hour',
  hour: 'Hour from (UTC)',
  newMultipliers: 'New multipliers',

  // BookSheet
  progress: 'Progress',
  logHeader: 'Log header',
  textsToSend: 'Texts',
  scoreboard: 'Scoreboard',
  team: 'Team',
  contestBook: 'Contest book',
  readingTheBook: 'Reading the contest book…',
  allBooks: 'All books',
  thereIsNoSuchBook: 'There is no such contest book.',
  change: 'Correct…',
  exportCabrillo: 'Export Cabrillo',
  otherFiles: 'Other files…',
  contactsAsAdi: 'Contacts as ADI',
  contactsAsCsv: 'Contacts as CSV',
  reportAsText: 'Score, multipliers and dupe sheet as text',
  reportAsPdf: 'The same as PDF',
  deleteThisBook: 'Delete…',
  deleteTheBook: 'Delete the book? Its contacts stay in the log.',
  deleteBook: 'Delete book',
  runsUntil: (when: TextPart) => `runs until ${when} UTC`,
  beginsAt: (when: TextPart) => `begins ${when} UTC`,
  isOver: 'over',

  // ContestLine
  contestLine: 'Contest line',
  passTheStationOn: 'Pass the station on the line to another position',
  takeAPassedStation: 'Take a station that was passed on to here',
  writeToTheTeam: 'Write to the other positions',
  aCallAndTheExchange: (fields: TextPart) => `call   ${fields}`,
  frequency: 'Frequency (kHz)',
  noRadio: 'No radio at this position: say where you are.',
  youSend: 'You send',
  backTo: (khz: TextPart) => `Back to ${khz} kHz (Alt+R)`,
  doesNotCount: (reason: TextPart) => `Does not count: ${reason}`,
  stillMissing: (fields: TextPart) => `still missing: ${fields}`,
  enterLogs: 'Enter logs it',
  enterLogsAt: (when: TextPart) => `Enter logs it at ${when} UTC`,
  correcting: (call: TextPart, at: TextPart, band: TextPart) => `Correcting ${call}, ${at} on ${band}.`,
  enterSaves: 'Enter saves it, Esc leaves it as it was; Alt+E goes to the one before.',
  itIsCorrected: 'It is corrected.',
  endTheCorrectionFirst: 'End the correction first, with Enter or Esc; then send.',
  day: 'Day (UTC)',
  notADay: (day: TextPart) => `"${day}" is not a day; write it as 2026-10-24.`,
  aTimeACallAndTheExchange: (fields: TextPart) => `time   call   ${fields}`,
  enterTakes: (fields: TextPart) => `Enter takes ${fields}`,
  likelyCalls: 'Likely calls',
  oneSlip: 'one character differs',
  enterSends: (text: TextPart) => `Enter sends ${text}`,
  enterSendsAndLogs: (text: TextPart) => `Enter sends ${text} and logs it`,
  typeTheCall: 'Type the call of the station that you want to call.',
  enterTunes: 'Enter tunes the radio',
  willBeSent: (problem: TextPart, lines: TextPart) => `${problem} ${lines} will be sent when it does.`,

  // ScoreBoard
  score: 'Score',
  dupes: 'Dupes',
  multiplier: (count: TextPart, name: TextPart) => `${count} ${name}`,
  notCounted: (contacts: TextPart) => `${contacts} of this time do not count`,
  byBand: 'By band',

  // ScoreGraph
  scoreOverTime: (from: TextPart, until: TextPart) => `Score from ${from} to ${until}`,
  thisContest: 'this contest',
  earlierYear: 'an earlier year',
  wayToTheGoal: 'on the way to the goal',

  // feature
  contests: 'Contest',
  openAContestBook: 'Open or begin a contest book',
  writeTheRules: 'Write the rules of a contest',
  definitionYamlEditor: 'definition editor yaml points multipliers',
  scoreMultiplierSerial: 'score multiplier serial cabrillo book',
  logTheContact:
    'What the line says: send the next text, take what is guessed, log the contact, or tune the radio',
  emptyTheLine: 'Stop what is being sent; then empty the line',
  bringBack: 'Bring back what was wiped last, to an empty line',
  correctTheLatest: 'Correct the latest contact; again, the one before',
  aNote: 'What follows is a note of the contact',
  ownSerial: 'The serial that you sent, where it is another than the next',
  logWithoutSending: 'Log the contact without sending anything',
  changeTheWay: 'The next way of working: log only, run, search',
  sendTheText: 'Send the text of that key',
  fasterOrSlower: 'Send faster or slower',
  takeWhatWasReceived: 'Take the last call not worked, the last number that was received',
  toTheStationWorthMost: 'to the station worth most on the air',
  backToTheRunFrequency: 'back to where you called CQ',
  throughTheLikelyCallsEnter: 'Through the likely calls; Enter takes one',
};
