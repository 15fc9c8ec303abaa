import type { TextPart } from '../../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // DefinitionEditor
  contestDefinitions: 'Contest definitions',
  rulesAreText: 'The rules of a contest are text. What they say is shown beside it while you write.',
  allBooks: 'All books',
  beginWith: 'Begin with',
  choose: 'Choose…',
  copyOf: (name: TextPart) => `a copy of ${name}`,
  openAFile: 'Open a file…',
  save: 'Save',
  saved: (name: TextPart) => `${name} is saved. A book can be begun now.`,
  exportTheText: 'Export',
  deleteThis: 'Delete…',
  deleteTheDefinition: (name: TextPart) => `Delete ${name}? Books keep the rules they began with.`,
  delete: 'Delete',
  cancel: 'Cancel',
  definition: 'Definition',
  chooseOneOrWrite: 'Choose a contest to begin with, or write.',
  nothingWritten: 'Nothing is written yet. The quickest way is a copy of a contest that is alike.',
  toBeCorrected: 'To be corrected',
  line: (line: TextPart) => `line ${line}`,
  runs: 'Runs',
  on: 'On',
  exchange: 'Exchange',
  orNone: ', or none',
  rules: 'Rules',
  reading: 'Reading the text…',

  // SampleContacts
  tryItOut: 'Try it out',
  sampleContacts: 'Sample contacts',
  sampleLine: '20m CW W1QAB 599 5',
  score: 'Score',
};
