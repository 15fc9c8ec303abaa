import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // CallbookPage
  address: 'Address',
  none: 'none',
  accountName: 'Account name',
  callbookPassword: 'Callbook password',
  oneIsStoredLeaveEmpty: 'One is stored. Leave empty to keep it.',
  onlyForThisCallbook: 'Only for this callbook.',
  anAnswerStaysFreshFor: 'An answer stays fresh for, days',
  keptAnswer: 'kept answer',
  chooseAFile: 'Choose a file',
  callbookOnTheNetwork: 'Callbook on the network',
  askedAboutEachCallYou:
    'Asked about each call you type or point at. Its answers fill the partner card and the fields you left empty, and are kept for use without a network.',
  test: 'Test',
  clearPassword: 'Clear password',
  forgetContacts: (contacts: TextPart) => `Forget ${contacts}`,
  callbookInAFile: 'Callbook in a file',
  withReadUtcANew: (stations: TextPart, date: TextPart, time: TextPart) =>
    `with ${stations}, read ${date} ${time} UTC. A new file takes its place.`,
  aCsvFileWhoseFirst:
    "A CSV file whose first line names its columns (call, name, qth, state, country, locator), or an ADI file. It serves where the network's callbook knows nothing.",
  dropThisFile: 'Drop this file',
  reading: 'Reading…',

  // callbook
  askingTheCallbook: 'Asking the callbook…',
  readingTheFile: 'Reading the file…',
  readLinesWithoutACall: (leftOut: TextPart) => `Read; ${leftOut} lines without a call were left out.`,
  droppingTheFile: 'Dropping the file…',
};
