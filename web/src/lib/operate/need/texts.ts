import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // NeedMark
  everThisBandThisMode: (ever: TextPart, band: TextPart, mode: TextPart) =>
    `ever ${ever}, this band ${band}, this mode ${mode}`,

  // need
  digital: 'digital',
  phone: 'phone',
  confirmed: 'confirmed',
  worked: 'worked',
  needed: 'needed',
};
