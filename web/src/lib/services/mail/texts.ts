import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // MailPage
  gateway: 'Gateway',
  radioMailGateway: 'Radio mail gateway',
  gatewayHostPort: 'Gateway, host:port',
  calledAs: 'Called as',
  outbox: 'Outbox',
  dueContact: 'due contact',
  allThatIsDueIs: 'All that is due is packed',
  nothingIsDue: 'Nothing is due',
  acknowledgedByTheGateway: 'Acknowledged by the gateway',
  packContacts: (contacts: TextPart) => `Pack ${contacts}`,
  ofKbBytesASecond: (bytes: TextPart, total: TextPart, bytesPerSecond: TextPart, words: TextPart) =>
    `${bytes} of ${total} kB, ${bytesPerSecond} bytes a second${words}`,
  as: 'as',
  change: 'Change',
  save: 'Save',
  aLetterHoldsASigned:
    'A letter holds a signed batch, cut into parts of at most 120 kB. Its contacts are handed over once the gateway has all of it, and accepted once Countersign says so: mail alone proves nothing.',
  stop: 'Stop',
  beginASession: 'Begin a session',
  theOutboxIsEmptyWhile:
    'The outbox is empty. While the network is away, pack what is due here and begin a session when the radio has a link; an interrupted session goes on where it stopped.',
  letter: 'Letter',
  contacts: 'Contacts',
  partsThere: 'Parts there',
  acknowledged: 'Acknowledged',
  do: 'Do',
  handover: 'Handover',
  ofPartsTaken: (partsTaken: TextPart, parts: TextPart) => `${partsTaken} of ${parts}`,
  ofKbSentBytes: (sentBytes: TextPart, bytes: TextPart) => `${sentBytes} of ${bytes} kB`,
  takeBack: 'Take back',
};
