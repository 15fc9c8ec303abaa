import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // Finder
  useIt: 'Use it',
  search: 'Search',
  thisComputerHasNoSerial: 'This computer has no serial port, and no simulated station is running.',
  otherPort: 'other port',
  noAnsweredWords: (words: TextPart) => `No ${words} answered.`,
  stop: 'Stop',
  tryingWhen: (when: TextPart) => `Trying ${when}`,
};
