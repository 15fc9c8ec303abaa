import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // TextProgramForm
  addADecoder: 'Add a radioteletype decoder',
  setUpName: (name: TextPart) => `Set up ${name}`,
  name: 'Name',
  address: 'Address of its text feed',
  itMaySend: 'It may send texts in radioteletype; the radio transmits meanwhile',
  hostAndPort: 'Computer and port, as the program says. All decoders are taken to receive one signal.',

  // feature
  connectADecoder: 'Connect a radioteletype decoder',
  radioteletypeTextSetUpAdd: 'rtty radioteletype teletype text feed decoder set up add',
};
