import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // ComingBack
  confirmedLately: 'Confirmed lately',
  allThatReceivedUntilUtc: (name: TextPart, date: TextPart, time: TextPart) =>
    `All that ${name} received until ${date} ${time} UTC has been asked for.`,
  nothingHasBeenFetchedYet: 'Nothing has been fetched yet.',
  theSlowLookThroughOlder: (date: TextPart) => `The slow look through older years stands at ${date}.`,
  reading: 'Reading…',
  nothingHasComeBackYet: 'Nothing has come back yet. What the other sides hand in shows up here.',
  contactUtc: 'Contact, UTC',
  call: 'Call',
  band: 'Band',
  mode: 'Mode',
  whatItBrought: 'What it brought',
  fetched: 'Fetched',
  noMatchingContact: 'no matching contact',

  // Firsts
  andMoreMore: (more: TextPart) => `and ${more} more`,
  confirmed: 'Confirmed:',
  by: 'by',
  services: 'Services',
  dismiss: 'Dismiss',

  // NearMisses
  twoDigitsThatChangePlaces: 'two digits that change places',
  theYear: 'the year',
  theMonth: 'the month',
  theTime: 'the time',
  aDay: 'a day',
  wholeHours: 'whole hours',
  theMode: 'the mode',
  theBand: 'the band',
  yourCall: 'your call',
  whatFollowsTheStroke: 'what follows the stroke',
  oneCharacterOfTheCall: 'one character of the call',
  nothingButItWasMade:
    'nothing, but it was made over a repeater or an internet link and does not count there',
  withoutAFrequency: (band: TextPart) => `${band}, without a frequency`,
  nearMisses: 'Near misses',
  whatWouldChange: 'What would change',
  correctOurs: 'Correct ours',
  changeItSo: 'Change it so',
  hasItWeHaveNothing: (name: TextPart) => `${name} has it, we have nothing like it`,
  yesIWas: (ownCall: TextPart) => `Yes, I was ${ownCall}`,
  unmatchedConfirmations: 'Unmatched confirmations',
  theyLoggedUsButNot:
    'They logged us, but not as we logged them. Who was wrong? Correct ours, or put it aside.',
  whose: 'Whose',
  date: 'Date',
  as: 'As',
  differsIn: 'Differs in',
  do: 'Do',
  theyLogged: 'they logged',
  putAside: 'Put aside',
  weLogged: 'we logged',
  yourContactIsConfirmedAs: '; your contact is confirmed as it is',
  theContactWouldSayThat: (ownCall: TextPart) =>
    `The contact would say that you were ${ownCall}, and would be sent again as that. Were you?`,
  cancel: 'Cancel',
};
