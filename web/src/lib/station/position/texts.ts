import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // PositionAsk
  whichPosition: 'Which position',
  whichPositionIsThisBrowser: 'Which position is this browser at?',

  // PositionDrawer
  position: 'Position',
  whereYouAre: 'Where you are',
  whatContactsMadeHereAre: 'What contacts made here are logged with',
  thisBrowserIsAt: 'This browser is at',
  newPosition: 'New position',
  tablet: 'Tablet',
  anotherBrowserCanBeAt:
    'Another browser can be at another position with its own radio. Contacts that programs send go to the position of the radio they were made on.',
  addAndSitDown: 'Add and sit down',
  readingThePositions: 'Reading the positions…',

  // PositionFields
  notValidToday: 'not valid today',
  noneYet: 'none yet',
  none: 'none',
  theStationsOwn: (words: TextPart) => `${words}, the station's own`,
  operator: 'Operator',
  nobodyInParticular: 'nobody in particular',
  place: 'Place',
  noPlaceChosen: 'no place chosen',
  radio: 'Radio',
  callOnTheAir: 'Call on the air',
  theFirstName: (name: TextPart) => `the first, ${name}`,

  // PositionsPage
  name: 'Name',
  positions: 'Positions',
  wherePeopleSitADesk:
    'Where people sit: a desk, a tablet, a second operator. Every browser is at one of them and remembers which. The radio in front of you follows the position.',
  thisBrowserIsHere: 'This browser is here.',
  sitHere: 'Sit here',
  remove: 'Remove',
  addOne: 'Add one',

  // feature
  whoAndWhereIAm: 'Who and where I am',
  browserTabletSecondOperator: 'browser tablet second operator',
};
