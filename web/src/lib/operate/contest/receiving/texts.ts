import type { TextPart } from '../../../platform/shared/text-part';
import { counted } from '../../../platform/shared/format';

/** What this part of the page says. */
export const texts = {
  // ReceivedStrip
  receivedText: 'Received text',
  noDecoder: 'No decoder of radioteletype is set up.',
  connectOne: 'Connect one',
  decoders: (count: number) => `agreed by ${counted(count, 'decoder')}`,
  eachDecoder: 'Each decoder',
  onlyTheAgreed: 'Only the agreed text',
  notConnected: (name: TextPart, brief: string) => (brief ? `${name}: ${brief}` : `${name} is switched off`),
  nothingYet: 'Nothing has been received yet.',
  keys: 'Alt+C takes the last call not worked, Alt+N the last number',

  // ReceivedWords
  agreedText: 'Agreed text',
  takeIntoTheLine: 'Take into the line',
};
