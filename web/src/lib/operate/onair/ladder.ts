import type { Spot } from '../../platform/api/client';

/** A stretch of the dial that is on screen, Hz. */
export interface Stretch {
  lowHz: number;
  highHz: number;
}

/** A label with the place of the dial it belongs to; pixels from the top. */
export interface Rung {
  spot: Spot;
  /** Where on the dial it is. */
  dialY: number;
  /** Where its label is, the middle of it. */
  labelY: number;
  /** Which column of labels it stands in. */
  column: number;
}

export interface LadderLayout {
  rungs: Rung[];
  /** Stations for whose labels there is no room. */
  hidden: Spot[];
}

/** Where on a dial of so many pixels, the highest frequency on top, a frequency is. */
export function dialY(hz: number, { lowHz, highHz }: Stretch, height: number): number {
  return height - ((hz - lowHz) / (highHz - lowHz)) * height;
}

/**
 * Finds each label a place so that none covers another: the best stations that fit get one, each column is filled from its
 * neighbours on the dial, and labels that crowd are spread evenly around where they belong.
 */
export function layOut(
  spots: readonly Spot[],
  stretch: Stretch,
  height: number,
  columns: number,
  rowHeight: number,
): LadderLayout {
  const there = spots.filter((s) => s.frequencyHz >= stretch.lowHz && s.frequencyHz <= stretch.highHz);
  const rows = Math.max(1, Math.floor(height / rowHeight));
  const room = rows * Math.max(1, columns);
  const best = [...there].sort((a, b) => b.score - a.score);
  const shown = best.slice(0, room).sort((a, b) => b.frequencyHz - a.frequencyHz || a.id - b.id);
  const byColumn: Rung[][] = Array.from({ length: Math.max(1, columns) }, () => []);
  shown.forEach((spot, i) => {
    const y = dialY(spot.frequencyHz, stretch, height);
    const column = i % byColumn.length;
    byColumn[column]?.push({ spot, dialY: y, labelY: y, column });
  });
  byColumn.forEach((rungs) => spread(rungs, height, rowHeight));
  return { rungs: byColumn.flat(), hidden: best.slice(room) };
}

interface Pile {
  from: number;
  to: number;
  /** Sum of where its labels would like to stand, each less its place in the pile. */
  wish: number;
}

/** Moves labels apart, those that touch as one pile around the middle of where they belong. From the top down. */
function spread(rungs: Rung[], height: number, rowHeight: number): void {
  const piles: Pile[] = [];
  const top = (pile: Pile) => {
    const count = pile.to - pile.from;
    const wanted = pile.wish / count - rowHeight / 2;
    return Math.max(0, Math.min(height - count * rowHeight, wanted));
  };
  rungs.forEach((rung, i) => {
    let pile: Pile = { from: i, to: i + 1, wish: rung.dialY };
    for (let before = piles.at(-1); before; before = piles.at(-1)) {
      if (top(before) + (before.to - before.from) * rowHeight <= top(pile)) {
        break;
      }
      piles.pop();
      const shift = (before.to - before.from) * rowHeight * (pile.to - pile.from);
      pile = { from: before.from, to: pile.to, wish: before.wish + pile.wish - shift };
    }
    piles.push(pile);
  });
  for (const pile of piles) {
    const first = top(pile);
    for (let i = pile.from; i < pile.to; i++) {
      const rung = rungs[i];
      if (rung) {
        rung.labelY = first + (i - pile.from + 0.5) * rowHeight;
      }
    }
  }
}

const STEPS = [100, 200, 500, 1_000, 2_000, 5_000, 10_000, 20_000, 50_000, 100_000, 200_000, 500_000];

/** Frequencies to be written beside the dial, with room for each. */
export function ticks({ lowHz, highHz }: Stretch, height: number): number[] {
  const most = Math.max(2, Math.floor(height / 56));
  const step = STEPS.find((s) => (highHz - lowHz) / s <= most) ?? 1_000_000;
  const all: number[] = [];
  for (let hz = Math.ceil(lowHz / step) * step; hz <= highHz; hz += step) {
    all.push(hz);
  }
  return all;
}

/** A stretch seen closer or from further away, around a frequency that stays where it is, never beyond the band. */
export function zoomed(stretch: Stretch, band: Stretch, by: number, aroundHz: number): Stretch {
  const NARROWEST = 2_000;
  const width = Math.min(
    band.highHz - band.lowHz,
    Math.max(NARROWEST, (stretch.highHz - stretch.lowHz) * by),
  );
  const part = (aroundHz - stretch.lowHz) / (stretch.highHz - stretch.lowHz);
  return within({ lowHz: aroundHz - part * width, highHz: aroundHz + (1 - part) * width }, band);
}

/** The same stretch moved so that it lies in the band. */
export function within(stretch: Stretch, band: Stretch): Stretch {
  const width = Math.min(stretch.highHz - stretch.lowHz, band.highHz - band.lowHz);
  const low = Math.round(Math.max(band.lowHz, Math.min(band.highHz - width, stretch.lowHz)));
  return { lowHz: low, highHz: Math.round(low + width) };
}

/** The stretch that shows all stations of a band, with some room around. */
export function fitted(spots: readonly Spot[], band: Stretch): Stretch {
  if (spots.length === 0) {
    return band;
  }
  const all = spots.map((s) => s.frequencyHz);
  const low = Math.min(...all);
  const high = Math.max(...all);
  const room = Math.max(2_000, (high - low) * 0.05);
  return within({ lowHz: low - room, highHz: high + room }, band);
}

/** Whether a frequency stands so close to the edge of what is shown that it is time to move on; the band's own edges are none. */
export function nearEdge(hz: number, shown: Stretch, whole: Stretch): boolean {
  const edge = (shown.highHz - shown.lowHz) * 0.1;
  return (
    (hz < shown.lowHz + edge && shown.lowHz > whole.lowHz) ||
    (hz > shown.highHz - edge && shown.highHz < whole.highHz)
  );
}
