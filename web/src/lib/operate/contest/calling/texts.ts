import type { TextPart } from '../../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // NextStations
  nextStations: 'Next stations',
  worthMost: 'Worth most now (Alt+S)',
  goTo: (call: TextPart, words: TextPart) => `Go to ${call}: ${words}`,
  rise: (rise: TextPart) => `+${rise}`,
  nobodyCounts: 'Nobody on the air counts now who was not worked.',
};
