import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // Meter
  power: 'Power',
  signal: 'Signal',

  // RadioForm
  addARadio: 'Add a radio',
  name: 'Name',
  itSpeaks: 'It speaks',
  addressOnTheBus1: 'Address on the bus, 1 to 223',
  fullPowerW: 'Full power, W',
  itsAntennaIsTurnedBy: 'Its antenna is turned by',
  theFirstRotatorThatCan: 'The first rotator that can',
  sharedOnPort: 'Shared on port',
  emptyForNotSharingIt: 'Empty for not sharing it',
  longestTransmissionS: 'Longest transmission, s',
  forProgramsAtThatPort: 'For programs at that port and for texts, 5 to 1800',
  programsAtThatPortMay: 'Programs at that port may transmit',
  textsMayBeSent: 'Yokebar may send texts with this radio when you press a key for it',
  radioteletypeIsKeyedBySound: 'Radioteletype is keyed by sound on lower sideband',
  setUpName: (name: TextPart) => `Set up ${name}`,

  // RadioPanel
  receiving: 'receiving',
  transmitting: 'transmitting',
  radio: 'Radio',
  outsideTheAmateurBands: 'outside the amateur bands',
  whatTheProgramSays: 'what the program says',
  mode: 'Mode',
  bandMetres: 'Band, metres',
  nextRadioR: 'Next radio (r)',
  noRadioYetWithOne: 'No radio yet. With one, nobody types a frequency again.',
  connectARadio: 'Connect a radio',
  hzWideBandwidthHz: (bandwidthHz: TextPart) => `${bandwidthHz} Hz wide`,
  loggedAsWhatTheProgramSays: (whatTheProgramSays: TextPart) => `logged as ${whatTheProgramSays}`,
  split: 'Split',
  sendsOn: 'sends on',
  theTimeLimitEndedA: (time: TextPart) => `The time limit ended a program's transmission at ${time} UTC.`,
  isSwitchedOffHere: (name: TextPart) => `${name} is switched off here.`,
  connectingToName: (name: TextPart) => `Connecting to ${name}…`,
  more: 'More',

  // RadioSharing
  noProgramUsesIt: 'no program uses it',
  notAllowed: 'not allowed',
  allowedAtMostSAt: (keyingLimitS: TextPart) => `allowed, at most ${keyingLimitS} s at a time`,
  sharedOn: 'Shared on',
  semicolonCatWords: (words: TextPart) => `, semicolon CAT; ${words}`,
  transmits: 'transmits',
  notShared: 'not shared',
  programsTransmit: 'Programs transmit',
  aProgramAskedToTransmit: 'A program asked to transmit and was refused.',
  allowProgramsToTransmit: 'Allow programs to transmit',
  programsLately: 'Programs lately',

  // Readout
  frequencyHzArrowKeysTurn: 'Frequency, Hz. Arrow keys turn, left and right choose the digit, figures type.',
  oneStepIsTurnThe: (stepHz: TextPart) =>
    `One step is ${stepHz}: turn the wheel, or click above or below the middle`,
  frequencyInKhzOrMhz: 'Frequency in kHz or MHz, Enter tunes, Esc leaves',

  // feature
  nextRadio: 'Next radio',
  rigCatSerialTransceiverSet: 'rig cat serial transceiver set up add',
  readout: 'Readout',
  figures: 'figures, ↑ ↓',
  tune: 'Tune',

  // sample-radio
  radioNumber: (id: TextPart) => `Radio ${id}`,
};
