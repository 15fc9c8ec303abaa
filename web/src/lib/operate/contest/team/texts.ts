import type { TextPart } from '../../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // TeamStrip
  team: 'Team',
  isOn: (name: TextPart, frequency: TextPart, mode: TextPart) => `${name} ${frequency} ${mode}`,
  frequencyUnknown: 'frequency not known',
  take: (call: TextPart, from: TextPart) => `Take ${call} from ${from}`,
  said: (from: TextPart, text: TextPart) => `${from}: ${text}`,
  passOn: 'Pass on',
  passOnHint: 'Pass the station on the line to another position (Alt+P)',
  say: 'Message',
  sayHint: 'Write to the other positions (Alt+M)',
  takeHint: 'Put the station on the line (Alt+T)',
  passTo: (call: TextPart) => `Pass ${call} to`,
  cancel: 'Cancel',
  typeTheCallFirst: 'Type the call of the station that is to be passed on.',
  nobodyToPassTo: 'At no other position is it known on which frequency it is.',
  askToGo: (call: TextPart, frequency: TextPart, name: TextPart) =>
    `Ask ${call} to go to ${frequency} kHz; ${name} is told.`,
  toAll: 'To all positions',
  send: 'Send',

  // TeamPanel
  position: 'Position',
  operator: 'Operator',
  frequency: 'Frequency',
  mode: 'Mode',
  way: 'Way of working',
  band: 'Band',
  ways: { RUN: 'Run', SEARCH: 'Search' },
  logOnly: 'Log only',
  takeTheBand: (band: TextPart) => `Take ${band}`,
  giveTheBandBack: (band: TextPart) => `Give ${band} back`,
  isTakenBy: (band: TextPart, name: TextPart) => `${band}: ${name}`,
  bandIsTaken: (band: TextPart) => `${band}, taken`,
  takenBands: 'Taken bands',
  onlyThisPosition:
    'Only this position has the book open. Open it in a second browser at another position, and both see here who is where, take bands, write to each other and pass stations on.',
  messages: 'Messages',
  time: 'Time',
  from: 'From',
  to: 'To',
  message: 'Message',
  all: 'all',
  noMessages: 'Nobody has written yet.',
  isPassedOn: (call: TextPart, frequency: TextPart) => `${call} comes to ${frequency} kHz`,
  wasTaken: '(taken)',
  readingTheTeam: 'Reading who works this book …',
};
