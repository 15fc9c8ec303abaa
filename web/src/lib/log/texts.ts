import type { TextPart } from '../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // BulkBar
  howTheSignalTravelled: 'How the signal travelled',
  ofTheFirstLookedAt: (lookedAt: TextPart) => ` of the first ${lookedAt} looked at`,
  cannotTakeItAndStay: (impossible: TextPart) => `; ${impossible} cannot take it and stay as they are`,
  willBeDifferent: (contacts: TextPart, value: TextPart, more: TextPart) =>
    `${contacts} will be different${value}${more}.`,
  chosenContacts: 'Chosen contacts',
  leaveAsItIs: 'Leave as it is',
  field: 'Field',
  newValue: 'New value',
  newValueEmptyTakesThe: 'New value; empty takes the field away',
  deleteContacts: (contacts: TextPart) => `Delete ${contacts}?`,
  changeAFieldOf: (contacts: TextPart) => `Change a field of ${contacts}`,
  changeWords: (words: TextPart) => `Change ${words}`,
  chosen: (contacts: TextPart) => `${contacts} chosen`,
  changeAField: 'Change a field',
  delete: 'Delete',
  chooseAllFound: (found: TextPart) => `Choose all ${found}`,
  chooseNone: 'Choose none',
  theyLeaveTheLogAnd:
    'They leave the log and are no longer sent to services. It can be undone at any time under Changes.',
  lookingWhatWouldChange: 'Looking what would change…',

  // ContactDrawer
  contact: 'Contact',
  journey: 'Journey',
  fields: 'Fields',
  records: 'Records',
  picture: 'Picture',
  readingTheContact: 'Reading the contact…',

  // ContactFields
  nothing: 'nothing',
  saved: 'Saved.',
  saidByName: (name: TextPart) => `Said by ${name}`,
  moreFieldsAsTheyCame: (value: TextPart) => `${value} more fields, as they came`,
  wasChangedMeanwhileTo: 'was changed meanwhile to',
  youHave: '; you have',
  takeTheirs: 'Take theirs',
  keepMine: 'Keep mine',
  saveChanges: 'Save changes',
  takeTheLogsValues: "Take the log's values",

  // ContactPicture
  pictureFile: 'Picture file',
  puttingItThere: 'Putting it there…',
  chooseAnother: 'Choose another',
  chooseAPicture: 'Choose a picture',
  putToTheContactWith: (call: TextPart) => `Put to the contact with ${call}`,
  showsItBesideTheContact: (service: TextPart) => `; ${service} shows it beside the contact`,
  atSinceService: (service: TextPart, date: TextPart, time: TextPart) =>
    `At ${service} since ${date} ${time}.`,
  goesToOnceTheContact: (service: TextPart) => `Goes to ${service} once the contact is there.`,
  keptHereOnlyNoService: 'Kept here only: no service in use shows pictures.',
  noPictureYetACard: (words: TextPart) => `No picture yet. A card, a screen or a face${words}.`,
  takeItAway: 'Take it away',

  // Facets
  digital: 'digital',
  phone: 'phone',
  fewer: 'fewer',
  band: 'Band',
  mode: 'Mode',
  kind: 'Kind',
  year: 'Year',
  entity: 'Entity',
  continent: 'Continent',
  operator: 'Operator',
  ownCall: 'Own call',
  via: 'Via',
  counts: 'Counts',
  more: (more: TextPart) => `${more} more`,

  // Journey
  arrived: 'Arrived',
  merged: 'Merged',
  cameAgain: 'Came again',
  edited: 'Edited',
  held: 'Held',
  due: 'Due',
  handedOver: 'Handed over',
  accepted: 'Accepted',
  refused: 'Refused',
  confirmed: 'Confirmed',
  theRecordAsItCame: 'The record as it came',

  // Loading
  ofContactsLoaded: (loaded: TextPart, total: TextPart) => `: ${loaded} of ${total} contacts`,
  readingTheLog: (words: TextPart) => `Reading the log${words}`,

  // LogEmpty
  noContactFits: 'No contact fits',
  wordsAreLookedForIn: 'Words are looked for in call, name, town, entity, locator and comment;',
  nameAna: 'name:ana',
  inOneFieldAMinus: 'in one field; a minus in front means without.',
  showTheWholeLog: 'Show the whole log',
  noContactsYet: 'No contacts yet',
  letYourDigitalModeProgram:
    'Let your digital-mode program send ADIF by UDP to port 7371 of this computer, and each contact appears here as it is made.',
  seeWhetherThatLinkIs: 'See whether that link is live',
  or: ', or',
  tellYokebarYourCallFirst: 'tell Yokebar your call first',

  // LogMenus
  views: 'Views',
  keepWhatIsShownAs: 'Keep what is shown as',
  japanOn40M: 'Japan on 40 m',
  columns: 'Columns',
  export: 'Export',
  removeTheView: (name: TextPart) => `Remove the view ${name}`,
  keepASearchWithIts: 'Keep a search with its order and columns under a name, and it is one click away.',
  keep: 'Keep',
  asAtFirst: 'As at first',
  theSearchIsNotUnderstood:
    'The search is not understood, so it finds nothing to export. Correct it, or show the whole log.',
  whatIsFoundNowIn: (contacts: TextPart) => `${contacts}: what is found now, in this order.`,
  adiForOtherPrograms: 'ADI, for other programs',
  adxTheSameAsXml: 'ADX, the same as XML',
  csvOfTheseColumns: 'CSV of these columns',
  aPageToPrint: 'A page to print',

  // LogRow
  beingRead: 'Being read',
  chooseCall: (call: TextPart) => `Choose ${call}`,
  ofLabel: (label: TextPart, call: TextPart) => `${label} of ${call}`,

  // LogTable
  contactsArrowKeysMoveEnter:
    'Contacts; arrow keys move, Enter opens, space chooses, e edits, a goes to the actions',

  // LogTableHead
  chooseAllThatWereFound: 'Choose all that were found',
  sortByLabel: (label: TextPart) => `Sort by ${label}`,

  // LogView
  log: 'Log',
  searchTheLog: 'Search the log',
  wordsBand20mDate2024: 'Words, band:20m, date:2024-05.. ( / )',
  countsByBandModeYear: 'Counts by band, mode, year …',
  changesHint: 'What was changed, to be taken back',
  reading: 'Reading…',
  ofFound: (found: TextPart, contacts: TextPart) => `${found} of ${contacts}`,
  newWaiting: (waiting: TextPart) => `${waiting} new`,
  statistics: 'Statistics',
  changes: 'Changes',

  // SendChosen
  toPrintUnderServicesCard: (cards: TextPart) => `${cards} to print, under Services, Card desk.`,
  send: 'Send',
  theManagersCall: "The manager's call",
  managersCall: "Manager's call",
  whatOfThemIsDue: (name: TextPart) => `What of them is due is on its way to ${name}.`,
  atMostGoFromHere: (max: TextPart) =>
    `At most ${max} go from here at once. All that is due, or a range of days, goes under Services.`,
  toNowName: (name: TextPart) => `To ${name} now`,
  paperCardByTheBureau: 'Paper card by the bureau',
  paperCardDirect: 'Paper card direct',
  cardToTheManager: 'Card to the manager',

  // SquareMap
  workedSquares: (squares: TextPart) => `${squares} worked`,

  // Statistics
  asSearchedAbove: ', as searched above',
  hourOfTheDayUtc: 'Hour of the day, UTC',
  monthByMonth: 'Month by month',
  onlyValue: (value: TextPart) => `Only ${value}`,
  mostTitle: (title: TextPart, most: TextPart) => `${title}: most ${most}`,
  andOthers: (others: TextPart) => `and ${others}`,
  nothingToCount: 'Nothing to count.',
  takeTheWholeLog: 'Take the whole log',
  withEntitiesAndSquares: (contacts: TextPart, value: TextPart, value2: TextPart, words: TextPart) =>
    `${contacts} with ${value} entities and ${value2} squares${words}.`,
  squaresWorked: 'Squares worked',
  counting: 'Counting…',

  // UnsavedEdits
  isNotSaved: (call: TextPart, label: TextPart, value: TextPart, sentence: TextPart) =>
    `${call}, ${label}: “${value}” is not saved. ${sentence}`,
  correct: 'Correct',
  dismiss: 'Dismiss',

  // columns
  date: 'Date',
  call: 'Call',
  sent: 'Sent',
  rcvd: 'Rcvd',
  name: 'Name',
  locator: 'Locator',
  town: 'Town',
  state: 'State',
  comment: 'Comment',
  notes: 'Notes',
  cont: 'Cont.',
  entityNo: 'Entity no.',
  satellite: 'Satellite',
  ownLocator: 'Own locator',

  // edits
  itIsEmptyNow: 'It is empty now',
  itSaysNow: (value: TextPart) => `It says “${value}” now`,
  somebodyElseChangedItMeanwhile: (when: TextPart) =>
    `${when}; somebody else changed it meanwhile. Correct it to keep yours.`,

  // feature
  findFilter: 'find filter',
  exportTheLog: 'Export the log',
  adifAdiAdxCsvSave: 'adif adi adx csv save print download',
  statisticsOfTheLog: 'Statistics of the log',
  undoTheLastChangeOf: 'Undo the last change of the log',
  whatWasChangedLately: 'What was changed lately',
  pgupPgdnHomeEnd: '↑ ↓ PgUp PgDn Home End',
  move: 'Move',
  openTheContact: 'Open the contact',
  editInPlaceTabGoes: 'Edit in place; Tab goes on, Enter saves',
  spaceShiftCtrlA: 'Space, Shift+↑↓, Ctrl+A',
  chooseContacts: 'Choose contacts',
  toTheActionsForWhat: 'To the actions for what is chosen; Esc goes back',

  // fields
  ionoscatter: 'ionoscatter',
  transEquatorial: 'trans-equatorial',
  aurora: 'aurora',
  earthMoonEarth: 'earth-moon-earth',
  isSatellite: 'satellite',
  internet: 'internet',
  repeater: 'repeater',
  dateUtcYyyymmdd: 'Date, UTC (YYYYMMDD)',
  startUtcHhmmss: 'Start, UTC (HHMMSS)',
  frequencyMhz: 'Frequency, MHz',
  submode: 'Submode',
  reportSent: 'Report sent',
  reportReceived: 'Report received',
  country: 'Country',
  notSaid: 'not said',
  linkedRepeaters: 'linked repeaters',
  internetLinkedRepeater: 'internet-linked repeater',
  sporadicE: 'sporadic E',
  troposphericDucting: 'tropospheric ducting',
  meteorScatter: 'meteor scatter',
  f2Reflection: 'F2 reflection',
  lineOfSight: 'line of sight',
  groundWave: 'ground wave',
  aircraftScatter: 'aircraft scatter',
  rainScatter: 'rain scatter',
  backScatter: 'back scatter',
  fieldAlignedIrregularities: 'field-aligned irregularities',
};
