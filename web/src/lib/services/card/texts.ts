import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // CardDesk
  toSend: 'To send',
  noCardIsWantedChoose:
    'No card is wanted. Choose contacts in the Log and send each a card there, or scan one that came.',
  sent: 'Sent',
  noCardOfOursIs: 'No card of ours is on its way.',
  received: 'Received',
  noPaperCardHasCome: 'No paper card has come yet.',
  noContactFits: (scanned: TextPart) => `No contact fits ${scanned}.`,
  theCardOfIsIn: (call: TextPart) => `The card of ${call} is in.`,
  paperCards: 'Paper cards',
  aCardThatCame: 'A card that came',
  scanOrTypeACard: 'Scan or type a card that came',
  scanOrTypeACall: 'Scan, or type a call',
  notWantedAnyMore: 'Not wanted any more.',
  takenBack: 'Taken back.',
  notSentAfterAll: 'Not sent after all',
  itDidNotCome: 'It did not come',
  allValue: (value: TextPart) => `All ${value}`,
  cardsSent: (cards: TextPart) => `${cards} sent.`,
  chooseCall: (call: TextPart) => `Choose ${call}`,
  viaManager: (manager: TextPart) => `via ${manager}`,
  paper: 'Paper',
  markAsReceived: 'Mark as received',
  whichContactIsItFor: 'Which contact is it for?',
  printLabels: 'Print labels',
  printCards: 'Print cards',
  markAsSent: 'Mark as sent',
  notWanted: 'Not wanted',
  theNewestOfAreHere: (value: TextPart, pile: TextPart) =>
    `The newest ${value} of ${pile} are here; the others follow once these are dealt with.`,
  choose: 'Choose',
  dateUtc: 'Date, UTC',
  call: 'Call',
  band: 'Band',
  mode: 'Mode',
  way: 'Way',

  // ElectronicCards
  electronicCards: 'Electronic cards',
  cardOfCall: (call: TextPart) => `Card of ${call}`,
  electronic: 'Electronic',
  othersMayHaveSentCards: 'Others may have sent cards to Postbag.',
  takePostbagIntoUse: 'Take Postbag into use',
  noCardHasComeYet: 'No card has come yet. They are fetched with the confirmations.',
  contact: 'Contact',
  noMatchingContact: 'no matching contact',
};
