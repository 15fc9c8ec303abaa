import type { TextPart } from '../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // LanePanel
  nothingIsDue: 'Nothing is due',
  tryAgainNow: 'Try again now',
  fetchConfirmations: 'Fetch confirmations',
  handingOver: 'Handing over',
  pagesName: (name: TextPart) => `${name} pages`,
  handOverNow: (contacts: TextPart) => `Hand over ${contacts} now`,
  ofLeft: (left: TextPart, contacts: TextPart) => `${left} of ${contacts}`,
  goingOut: 'Going out',
  comingBackWords: (words: TextPart) => `Coming back${words}`,
  setUp: 'Set-up',
  tryFailedTheNextIs: (attempt: TextPart, when: TextPart) => `Try ${attempt} failed; the next is ${when}.`,
  inTheBatchUnderWay: (contacts: TextPart) => `In the batch under way: ${contacts}.`,
  theCertificateOf: 'The certificate of',
  endsOnDate: (date: TextPart) => `ends on ${date}.`,
  renewIt: 'Renew it',
  sendsAutomatically: 'Sends automatically;',
  pauseAll: 'Pause all',
  stopsIt: 'stops it.',
  stop: 'Stop',

  // LanesPage
  contactByContactWithinSeconds: 'Contact by contact, within seconds; edits and deletions follow.',
  aLogInBatchesAnd: 'A log in batches, and electronic cards to look at.',
  certifiedConfirmationsWithSigned: 'Certified confirmations, with signed batches.',
  servicesInUse: 'Services in use',
  atKind: (kind: TextPart) => `at ${kind}. `,
  noServiceIsInUse: 'No service is in use. Contacts stay in the log until you take one into use.',
  readingTheServices: 'Reading the services…',
  takeIntoUse: 'Take into use',
  remove: 'Remove',

  // ServicesView
  lanes: 'Lanes',
  aContactCountsAsAccepted: 'A contact counts as accepted only when the service reports it.',
  cardDesk: 'Card desk',
  paperAndElectronicCardsSent: 'Paper and electronic cards, sent and received.',
  outbox: 'Outbox',
  signedBatchesThatGoBy: 'Signed batches that go by radio mail when there is no network.',
  services: 'Services',
  goOn: 'Go on',
  allHandingOverIsPaused: 'All handing over is paused.',

  // feature
  setUpAService: 'Set up a service',
  uploadAccountConfirmationQsl: 'upload account confirmation qsl',
  paperCardsAndLabels: 'Paper cards and labels',
  qslBureauPrint: 'qsl bureau print',
  radioMail: 'Radio mail',
  outboxPacketOffline: 'outbox packet offline',
};
