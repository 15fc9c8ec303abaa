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
  newOne: (name: TextPart) => `${name} +1`,
  bonus: (points: TextPart) => `bonus ${points}`,
  theLatest: (shown: TextPart, all: TextPart) => `The latest ${shown} of ${all}.`,

  // BookFindings
  checkTheLog: 'Check the log',
  backToTheContacts: 'Show contacts',
  checkingTheLog: 'Checking the log…',
  likelyMistakes: 'Likely mistakes',
  nothingOdd: 'Nothing odd was found in this log.',
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
  fromUntil: 'From – until (UTC)',
  state: 'State',

  // BookSheet
  contestBook: 'Contest book',
  readingTheBook: 'Reading the contest book…',
  allBooks: 'All books',
  thereIsNoSuchBook: 'There is no such contest book.',
  change: 'Correct…',
  exportCabrillo: 'Export Cabrillo',
  deleteThisBook: 'Delete…',
  deleteTheBook: 'Delete the book? Its contacts stay in the log.',
  deleteBook: 'Delete book',
  runsUntil: (when: TextPart) => `runs until ${when} UTC`,
  beginsAt: (when: TextPart) => `begins ${when} UTC`,
  isOver: 'over',

  // ContestLine
  contestLine: 'Contest line',
  aCallAndTheExchange: (fields: TextPart) => `call   ${fields}`,
  frequency: 'Frequency (kHz)',
  noRadio: 'No radio at this position: say where you are.',
  youSend: 'You send',
  dupe: 'Worked before',
  doesNotCount: (reason: TextPart) => `Does not count: ${reason}`,
  stillMissing: (fields: TextPart) => `still missing: ${fields}`,
  enterLogs: 'Enter logs it',
  enterTunes: 'Enter tunes the radio',
  willBeSent: (problem: TextPart, lines: TextPart) => `${problem} ${lines} will be sent when it does.`,

  // ScoreBoard
  score: 'Score',
  dupes: 'Dupes',
  multiplier: (count: TextPart, name: TextPart) => `${count} ${name}`,
  notCounted: (contacts: TextPart) => `${contacts} of this time do not count`,
  byBand: 'By band',

  // feature
  contests: 'Contest',
  openAContestBook: 'Open or begin a contest book',
  scoreMultiplierSerial: 'score multiplier serial cabrillo book',
  logTheContact: 'Log the contact; on a frequency or a mode, tune the radio',
  emptyTheLine: 'Empty the line',
};
