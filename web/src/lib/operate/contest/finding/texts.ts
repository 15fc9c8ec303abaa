import type { TextPart } from '../../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // FindingsTable
  line: 'Line',
  time: 'UTC',
  call: 'Call',
  band: 'Band',
  changeTo: (call: TextPart) => `Change to ${call}`,
};
