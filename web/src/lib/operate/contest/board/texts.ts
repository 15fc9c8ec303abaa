import type { TextPart } from '../../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // BoardPanel
  notSetUp:
    'A live scoreboard shows your score beside those of others while the contest runs. Set it up, and Yokebar posts yours.',
  setUp: 'Set up…',
  byHand: 'Post by hand…',
  close: 'Close',
  notPostedYet: 'Not posted yet.',
  posted: (score: TextPart, at: TextPart) => `Posted ${score} at ${at} UTC.`,
  placeOf: (place: TextPart, all: TextPart) => `You are number ${place} of ${all}.`,
  nextAt: (at: TextPart) => `The next may go at ${at}.`,
  readAgain: 'Read again',
  readingTheScores: 'Reading the scores…',
  noScoresYet: 'Nobody has posted a score of this contest yet.',
  onTheScoreboard: 'On the scoreboard',
  category: 'Category',
  club: 'Club',
  continent: 'Continent',
  all: 'all',
  place: 'Place',
  call: 'Call',
  score: 'Score',
  contacts: 'Contacts',
  multipliers: 'Multipliers',
  updated: 'UTC',
  noneOfThese: 'No station is left by these filters.',
  compare: (call: TextPart) => `How the score of ${call} grew`,

  // BoardGraph
  scoresOverTime: (calls: TextPart) => `Scores of ${calls} over time`,
  readingTheCourse: 'Reading how the scores grew…',
  noCourseYet: 'The scoreboard has no more than one score of these stations yet.',

  // BoardSetup
  setUpTheScoreboard: 'The scoreboard',
  thisScoreboard: 'this scoreboard',
  none: 'none',
  team: 'Team',
  everyMinutes: 'Post every … minutes',
  atMostEvery: (seconds: TextPart) => `The scoreboard takes one every ${seconds} s at most`,
  theClubIsInTheHeader: 'Your club is the one in the log header.',

  // BoardByHand
  postByHand: 'Post a score by hand',
  forContestsWithoutABook: 'For a contest that you log elsewhere.',
  contest: 'Contest, as in the Cabrillo log',
  points: 'Points',
  post: 'Post',
  itIsPosted: 'It is posted.',
};
