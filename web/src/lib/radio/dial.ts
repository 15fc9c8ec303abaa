/** The digits of a readout, each with the Hz that one step of it is worth. */
export interface Digit {
  figure: string;
  stepHz: number;
}

/** From 1 MHz on there is a figure for it, so that long wave and short wave line up. */
const LEAST_PLACES = 7;

/** The figures of a readout of a frequency in Hz, the largest first. */
export function digits(hz: number): Digit[] {
  const text = String(hz).padStart(LEAST_PLACES, '0');
  return [...text].map((figure, i) => ({ figure, stepHz: 10 ** (text.length - 1 - i) }));
}

/** The frequency after so many steps of a digit; never below zero. */
export function stepped(hz: number, stepHz: number, steps: number): number {
  return Math.max(0, hz + stepHz * steps);
}

/**
 * What a person means by a typed frequency, in Hz: `14074` and `14074.5` are kHz, `14.074` and `145.5` are MHz, a number of
 * seven figures or more is Hz. Undefined when it is none.
 */
export function typedHz(text: string): number | undefined {
  const tidy = text.trim().replace(/\s/g, '').replace(',', '.');
  if (!/^\d+(\.\d+)?$/.test(tidy)) {
    return undefined;
  }
  const value = Number(tidy);
  const point = tidy.includes('.');
  if (!point && tidy.length >= 7) {
    return value;
  }
  // Nobody works below 1 800 kHz without saying so in kHz, and no band in MHz has four figures before the point.
  const megahertz = point && value < 1000;
  return Math.round(value * (megahertz ? 1_000_000 : 1000));
}

/** A band's ADIF name as people read it: `20 m`, `70 cm`. */
export function metres(band: string): string {
  return band.replace(/(c?m{1,2})$/, '\u2009$1');
}
