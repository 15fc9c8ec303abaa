import type { TextPart } from '../../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // TextsPanel
  readingTheTexts: 'Reading the texts…',
  run: 'Run',
  search: 'Search and pounce',
  whenItIsSent: 'When it is sent',
  whatIsSent: (way: TextPart, when: TextPart) => `${way}: ${when}`,
  steps: {
    CALL: 'To call',
    EXCHANGE: 'To give the exchange',
    AGAIN: 'To ask for what is missing',
    THANKS: 'To end the contact',
  },
  key: (name: TextPart) => `Key ${name}`,
  aTextCanContain: 'Sent in CW by the keyer of the radio, each because you press a key. A text can contain',
  placeholders: {
    '{call}': 'the station’s call',
    '{own}': 'your call',
    '{sent}': 'your exchange',
    '{serial}': 'your serial',
    '{missing}': 'what is missing',
  },
  emptyBringsBack: 'An emptied text becomes again what Yokebar started with.',

  // SendingBar
  wayOfWorking: 'Way of working',
  logOnly: 'Log only',
  searchShort: 'Search',
  fromPaper: 'From paper',
  wordsAMinute: 'Words a minute',
  sending: 'Sending',
  stop: 'Stop',
};
