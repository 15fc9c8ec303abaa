import type { TextPart } from './lib/platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // App
  yokebarLabel: (label: TextPart) => `${label} · Yokebar`,
  skipToTheView: 'Skip to the view',
};
