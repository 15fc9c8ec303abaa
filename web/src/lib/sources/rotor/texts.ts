import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // Compass
  headingDegreesClickToTurn: 'Heading, degrees. Click to turn; arrow keys turn by 1 and 5 degrees, s stops.',
  theStop: 'The stop',
  aDeadZoneNeverPointed: 'A dead zone: never pointed to',

  // RotorForm
  addARotator: 'Add a rotator',
  name: 'Name',
  stopAtDegrees: 'Stop at, degrees',
  theEndItReachesTurning: 'The end it reaches turning anticlockwise',
  turnsThroughDegrees: 'Turns through, degrees',
  moreThan360IfIt: 'More than 360 if it overlaps',
  mountedAskewByDegrees: 'Mounted askew by, degrees',
  addedToItsAngleTo: 'Added to its angle to get the heading',
  itMayRestSoFar: 'It may rest so far from its target (°)',
  neverPointToDegrees: 'Never point to, degrees',
  deadZonesClockwise: 'Dead zones, clockwise',
  headingsWithANameOne: 'Headings with a name, one a line',
  exampleHeading: '45 Europe',
  setUpName: (name: TextPart) => `Set up ${name}`,

  // RotorPanel
  rotator: 'Rotator',
  headings: 'Headings',
  thereInS: (arrivesInSeconds: TextPart) => `, there in ${arrivesInSeconds} s`,
  upElevationDegrees: (elevationDegrees: TextPart) => `up ${elevationDegrees}°`,
  turningToTarget: (target: TextPart, words: TextPart) => `turning to ${target}°${words}`,
  noRotatorYet: 'No rotator yet.',
  connectOne: 'Connect one',
  isSwitchedOffHere: (name: TextPart) => `${name} is switched off here.`,
  connectingToName: (name: TextPart) => `Connecting to ${name}…`,
  more: 'More',
  turnTo: 'Turn to',
  raiseTo: 'Raise to',
  longPath: 'Long path',
  stop: 'Stop',

  // feature
  connectARotator: 'Connect a rotator',
  antennaBeamSetUpAdd: 'antenna beam set up add',
  compass: 'Compass',
  turnStop: 'Turn, stop',
};
