import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // ContactLine
  differsByOne: (worked: TextPart) => `differs by one, ${worked}×`,
  contactLine: 'Contact line',
  likelyCalls: 'Likely calls',
  callReportsNameOrA: 'Call, reports, name … or a frequency or mode to tune ( c )',

  // LineFields
  fieldsOfTheContact: 'Fields of the contact',
  choose: 'Choose',

  // LineKept
  bringItBackIntoThe: 'Bring it back into the line',
  keptForEachContactClick: 'Kept for each contact; click to remove',
  oneLine: 'One line',
  fields: 'Fields',
  keepThisField: (field: TextPart) => `Keep this ${field}`,

  // LineSays
  enterTunesTheRadio: 'Enter tunes the radio',
  enterKeepsThisForThe: 'Enter keeps this for the contacts to come',
  noEntity: 'no entity',
  newStation: 'new station',
  worked: (worked: TextPart) => `worked ${worked}×`,
  undo: 'Undo',
  or: 'or',
  logging: 'logging…',

  // OpenLines
  linesThatAreNotLogged: 'Lines that are not logged',
  sameContact: 'Same contact',
  anotherContact: 'Another contact',
  edit: 'Edit',
  dismiss: 'Dismiss',

  // feature
  typeAContact: 'Type a contact',
  logEnterNewQsoEntry: 'log enter new qso entry',
  contactLineInFieldsOr: 'Contact line in fields, or in one line',
  logOrTuneWhenIt: 'Log, or tune when it is only a frequency or mode',
  clear: 'Clear',
  onTheEmptyLineBring: 'On the empty line: bring back, else take back the last contact',
  aLineSetAsideThen: 'A line set aside, then lines logged before',
  theOtherMeaningOfA: 'The other meaning of a word in doubt',
  altYAltN: 'Alt+Y, Alt+N',
  answerSameContactYesNo: 'Answer "same contact?": yes, no',
  throughTheLikelyCallsEnter: 'Through the likely calls; Enter takes one',

  // line-fields
  call: 'Call',
  sent: 'Sent',
  received: 'Received',
  name: 'Name',
  locator: 'Locator',
  town: 'Town',
  state: 'State',
  powerW: 'Power, W',
  comment: 'Comment',
  note: 'Note',
  via: 'Via',
  satellite: 'Satellite',
  day: 'Day',
  began: 'Began',
  ended: 'Ended',

  // line
  theRadioHasNotReported: 'The radio has not reported that frequency yet.',
};
