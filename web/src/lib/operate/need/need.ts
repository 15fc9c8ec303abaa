import { texts } from './texts';

/** What a part of a need mark says. */
export const NEED_WORDS = { NEEDED: texts.needed, WORKED: texts.worked, CONFIRMED: texts.confirmed } as const;

export type WorkState = keyof typeof NEED_WORDS;

/** One band in one mode group, as the server counts it. */
export interface Cell {
  band: string;
  group: 'PHONE' | 'CW' | 'DIGITAL';
  contacts: number;
  confirmed: number;
}

export const GROUPS: { group: Cell['group']; label: string }[] = [
  { group: 'PHONE', label: texts.phone },
  { group: 'CW', label: 'CW' },
  { group: 'DIGITAL', label: texts.digital },
];

/** The server's name of a band such as `20m`, from its enumeration: `M20`, `CM70`, `M1_25`. */
export function bandName(constant: string): string {
  const parts = /^(SUBMM|MM|CM|M)(.*)$/.exec(constant);
  return parts ? `${(parts[2] ?? '').replace('_', '.')}${(parts[1] ?? '').toLowerCase()}` : constant;
}

/** How far a band in a mode group is. */
export function stateOf(cells: Cell[], band: string, group: Cell['group']): WorkState {
  const cell = cells.find((c) => bandName(c.band) === band && c.group === group);
  return !cell ? 'NEEDED' : cell.confirmed > 0 ? 'CONFIRMED' : 'WORKED';
}
