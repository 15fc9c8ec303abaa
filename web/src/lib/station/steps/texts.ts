import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // DeviceStep
  search: 'Search',
  looking: 'Looking…',
  whatWasFound: 'What was found',
  addAKind: (kind: TextPart) => `Add a ${kind}`,
  theIsCalled: (kind: TextPart) => `The ${kind} is called`,
  noAnsweredKind: (kind: TextPart) => `No ${kind} answered.`,
  connectIt: 'Connect it',
  stopLooking: 'Stop looking',
  lookAgain: 'Look again',
  goOnWithout: 'Go on without',

  // FirstSteps
  yourCall: 'Your call',
  yourPlace: 'Your place',
  aRadio: 'A radio',
  aRotator: 'A rotator',
  ready: 'Ready',
  firstSteps: 'First steps',
  yourName: 'Your name',
  locator: 'Locator',
  hm49kq: 'HM49kq',
  thePlaceIsCalled: 'The place is called',
  isARadioConnected: 'Is a radio connected?',
  everySerialPortIsTried:
    'Every serial port is tried at the usual speeds, each way of speaking for less than half a second. Nothing is transmitted.',
  radio: 'Radio',
  andARotator: 'And a rotator?',
  itWasLookedForAt: 'It was looked for at the same time. It does not turn by this.',
  rotator: 'Rotator',
  noCallYet: 'No call yet.',
  contactsAreLoggedAs: (ownCall: TextPart) => `Contacts are logged as ${ownCall}.`,
  aMinuteOrTwoEverything: 'A minute or two. Everything can be changed later under Station and Hookups.',
  whichCallDoYouUse: 'Which call do you use?',
  contactsWhoseRecordNamesNo: 'Contacts whose record names no call are logged with it.',
  goOn: 'Go on',
  notNow: 'Not now',
  whereAreYou: 'Where are you?',
  theLocatorGivesDistancesAnd: 'The locator gives distances and bearings; 4 characters do, 6 are better.',
  thatIsAllItTakes: 'That is all it takes',
  isLiveOnMhz: (name: TextPart, frequencyHz: TextPart) => `${name} is live on ${frequencyHz} MHz.`,
  isBeingConnected: (name: TextPart) => `${name} is being connected…`,
  noRadioAddOneUnder: 'No radio; add one under Hookups when there is.',
  isLiveAndPointsTo: (name: TextPart, headingDegrees: TextPart) =>
    `${name} is live and points to ${headingDegrees}°.`,
  noRotator: 'No rotator.',
  toTheDesk: 'To the Desk',
  iWillSetItUp: 'I will set it up myself',
};
