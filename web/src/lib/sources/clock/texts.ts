import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // ClocksPage
  exampleDate: '01 May 2026',
  distances: 'Distances',
  kilometres: 'kilometres',
  miles: 'miles',
  dates: 'Dates',
  secondClockBesideUtc: 'Second clock, beside UTC',
  thisBrowsersOwnTimeZone: "this browser's own time zone",
  timeServerTheComputersClock: "Time server the computer's clock is checked against",
  none: 'none',
  howThingsAreWritten: 'How things are written',
  clocks: 'Clocks',
  utcIs: 'UTC is',
  checkedOffByMsWhich: (when: TextPart, behindMs: TextPart) =>
    `Checked ${when}: off by ${behindMs} ms, which hurts nothing.`,
  hasNotAnsweredYet: (server: TextPart) => `${server} has not answered yet.`,
  digitalProgramsNeedAClock:
    'Digital programs need a clock that is right to a second. Empty means it is not checked.',
};
