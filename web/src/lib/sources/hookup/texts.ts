import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // HookupCard
  records: 'records',
  lines: 'lines',
  answers: 'answers',
  characters: 'characters',
  contacts: 'contacts',
  notSetUp: 'not set up',
  connect: 'Connect',
  disconnect: 'Disconnect',
  oneMoment: 'One moment…',
  tryFailedTheNextIs: (attempt: TextPart, when: TextPart) => `Try ${attempt} failed; the next is ${when}.`,
  lastMinute: 'Last minute',
  lastData: 'Last data',
  noneSinceTheStart: 'none since the start',
  lastEvent: 'Last event',
  test: 'Test',
  setUp: 'Set up',

  // hookups
  trouble: 'trouble',
  quiet: 'quiet',
  slow: 'slow',
  live: 'live',
  starting: 'starting',
  off: 'off',
};
