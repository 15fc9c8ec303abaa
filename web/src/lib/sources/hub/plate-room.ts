import type { Hookup } from '../../platform/api/client';

/** What a plate needs to be read, px, with the gap beside it: its name; in trouble its name and what is wrong. */
const PLATE = 76;
const TROUBLED = 136;
const MORE = 82;

/** The plates of one side of the Yoke that there is room for, and the count of the others. */
export interface PlateFit {
  shown: Hookup[];
  more: number;
  moreTroubled: number;
}

/** Chooses plates for the room there is, px: those in trouble first, the others in their order. */
export function fitPlates(
  left: readonly Hookup[],
  right: readonly Hookup[],
  room: number,
): { left: PlateFit; right: PlateFit } {
  const need = (hookup: Hookup) => (troubled(hookup) ? TROUBLED : PLATE);
  const all = [...left, ...right];
  const chosen = new Set<Hookup>();
  let rest = room;
  if (all.reduce((sum, hookup) => sum + need(hookup), 0) > room) {
    rest -= [left, right].filter((side) => side.length > 0).length * MORE;
  }
  for (const hookup of [...all.filter(troubled), ...all.filter((h) => !troubled(h))]) {
    if (need(hookup) <= rest) {
      rest -= need(hookup);
      chosen.add(hookup);
    }
  }
  const side = (hookups: readonly Hookup[]): PlateFit => {
    const others = hookups.filter((hookup) => !chosen.has(hookup));
    return {
      shown: hookups.filter((hookup) => chosen.has(hookup)),
      more: others.length,
      moreTroubled: others.filter(troubled).length,
    };
  };
  return { left: side(left), right: side(right) };
}

function troubled(hookup: Hookup): boolean {
  return hookup.state === 'TROUBLE';
}
