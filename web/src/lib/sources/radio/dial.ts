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

/** A band's ADIF name as people read it: `20 m`, `70 cm`. */
export function metres(band: string): string {
  return band.replace(/(c?m{1,2})$/, '\u2009$1');
}
