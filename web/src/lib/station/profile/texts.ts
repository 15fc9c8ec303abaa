/** What this part of the page says. */
export const texts = {
  // CallsPage
  ownCall: 'Own call',
  call: 'Call',
  firstDay: 'First day',
  always: 'always',
  lastDay: 'Last day',
  forEver: 'for ever',
  whatFor: 'What for',
  validToday: 'valid today',
  notValidToday: 'not valid today',
  newCall: 'New call',
  newCallInSentence: 'new call',
  firstDayOfTheNew: 'First day of the new call',
  lastDayOfTheNew: 'Last day of the new call',
  whatTheNewCallIs: 'What the new call is for',
  contactsAreLoggedWithIt: 'Contacts are logged with it unless a position uses another one.',
  furtherCalls: 'Further calls',
  aCallForAnEvent: 'A call for an event, another country, a club. Days are whole days, UTC.',
  act: 'Act',
  remove: 'Remove',
  addCall: 'Add call',

  // OperatorsTable
  licence: 'Licence',
  notWatched: 'not watched',
  operatorsCall: "Operator's call",
  operatorsName: "Operator's name",
  newOperatorsCall: "New operator's call",
  newOperator: 'new operator',
  newOperatorsName: "New operator's name",
  operators: 'Operators',
  withALicenceChosenThe:
    'With a licence chosen, the Desk warns when the radio is set to a frequency it does not allow.',
  name: 'Name',
  addOperator: 'Add operator',

  // PlaceForm
  newPlace: 'New place',
  powerW: 'Power, W',
  commentOfNewContacts: 'Comment of new contacts',
  entityNumber: 'Entity number',
  cqZone: 'CQ zone',
  ituZone: 'ITU zone',
  noEntityWithoutACall: 'no entity without a call',
  addPlace: 'Add place',

  // PlacesPage
  places: 'Places',
  aNewContactTakesRig:
    'A new contact takes rig, antenna, power and comment from the place of its position, where its own record does not say them. Entity and zones follow from the call until you set others.',
  addAPlace: 'Add a place',
};
