import type { TextPart } from '../../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // HandInPanel
  notSetUp:
    'When the contest is over, the log goes to the adjudicator. Set up your account there, and hand it in here.',
  readingTheState: 'Reading what became of the log…',
  notHandedIn: 'This log was not handed in yet.',
  handedIn: (at: TextPart, receipt: TextPart, claimed: TextPart) =>
    `Handed in ${at} UTC with ${claimed} claimed, receipt ${receipt}.`,
  bookChanged: 'The book is different now: hand it in again if that is to count.',
  checked: (score: TextPart, claimed: TextPart) => `After the check: ${score} of ${claimed} claimed.`,
  nothingFound: 'The check found nothing wrong.',
  askedForAt: (at: TextPart) => `The report is asked for at ${at} UTC.`,
  refused: (at: TextPart, words: TextPart) => `Refused ${at} UTC: ${words}.`,
  theOneBeforeCounts: 'The log that was handed in before still counts.',
  correctAndHandInAgain: 'Correct what is named below, and hand the log in again.',
  stillRuns: 'The contest is not over yet; the log can be handed in again.',
  handIn: 'Hand in',
  handInAgain: 'Hand in again',
  handingIn: 'Handing in…',
  askForTheReport: 'Ask for the report',
  asking: 'Asking…',
  theLogAsHandedIn: 'The log as handed in',
  setUp: 'Set up…',
  close: 'Close',
  refusedLines: 'Lines that were refused',
  whatIsWrong: 'What is wrong',
  whatTheCheckFound: 'What the check found',
  pointsLost: 'Lost',
  more: (count: TextPart) => `And ${count} more.`,

  // HandInSetup
  theAdjudicator: 'The adjudicator',
  thisAdjudicator: 'this adjudicator',
  onlyWhenYouHandIn: 'A log goes there only when you hand it in.',
};
