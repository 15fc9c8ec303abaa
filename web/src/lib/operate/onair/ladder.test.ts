import { describe, expect, it } from 'vitest';
import type { Spot } from '../../platform/api/client';
import { fitted, layOut, ticks, within, zoomed } from './ladder';

const BAND = { lowHz: 14_000_000, highHz: 14_350_000 };
const ROW = 18;

function spot(id: number, frequencyHz: number, score = 1): Spot {
  return { id, frequencyHz, score, call: `K${id}QAA`, band: '20m' } as Spot;
}

function overlaps(rungs: { labelY: number; column: number }[]): number {
  let found = 0;
  rungs.forEach((a, i) =>
    rungs.slice(i + 1).forEach((b) => {
      found += a.column === b.column && Math.abs(a.labelY - b.labelY) < ROW - 1e-6 ? 1 : 0;
    }),
  );
  return found;
}

describe('ladder', () => {
  it('lets a lone label stand where its station is', () => {
    const { rungs } = layOut([spot(1, 14_175_000)], BAND, 500, 2, ROW);
    expect(rungs[0]?.labelY).toBeCloseTo(250);
    expect(rungs[0]?.dialY).toBeCloseTo(250);
  });

  it.each([1, 2, 3, 7])('never lets two of 200 labels overlap in %i columns', (columns) => {
    for (let seed = 1; seed <= 20; seed++) {
      let random = seed * 7919;
      const spots = Array.from({ length: 200 }, (_, i) => {
        random = (random * 48271) % 2147483647;
        // Most crowd in a tenth of the band.
        const part = i % 3 ? 0.1 + (random / 2147483647) * 0.1 : random / 2147483647;
        return spot(i, 14_000_000 + Math.round(part * 350_000), random % 100);
      });
      const { rungs, hidden } = layOut(spots, BAND, 540, columns, ROW);
      expect(overlaps(rungs)).toBe(0);
      expect(rungs.length + hidden.length).toBe(200);
      rungs.forEach((rung) => {
        expect(rung.labelY).toBeGreaterThanOrEqual(ROW / 2 - 1e-6);
        expect(rung.labelY).toBeLessThanOrEqual(540 - ROW / 2 + 1e-6);
      });
    }
  });

  it('keeps the order of the dial in each column', () => {
    const spots = Array.from({ length: 40 }, (_, i) => spot(i, 14_020_000 + i * 30));
    const { rungs } = layOut(spots, BAND, 540, 2, ROW);
    for (const column of [0, 1]) {
      const there = rungs.filter((r) => r.column === column).sort((a, b) => a.labelY - b.labelY);
      there.slice(1).forEach((rung, i) => {
        expect(rung.spot.frequencyHz).toBeLessThanOrEqual(there[i]?.spot.frequencyHz ?? 0);
      });
    }
  });

  it('hides the least worth first', () => {
    const spots = Array.from({ length: 20 }, (_, i) => spot(i, 14_000_000 + i * 100, i));
    const { hidden } = layOut(spots, BAND, 10 * ROW, 1, ROW);
    expect(hidden.map((s) => s.id).sort((a, b) => a - b)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8, 9]);
  });

  it('zooms around the pointer and stays in the band', () => {
    const near = zoomed(BAND, BAND, 0.5, 14_000_000);
    expect(near).toEqual({ lowHz: 14_000_000, highHz: 14_175_000 });
    expect(zoomed(near, BAND, 10, 14_100_000)).toEqual(BAND);
    expect(within({ lowHz: 14_300_000, highHz: 14_400_000 }, BAND).highHz).toBe(14_350_000);
  });

  it('fits what is there, and the whole band when nothing is', () => {
    expect(fitted([], BAND)).toEqual(BAND);
    const stretch = fitted([spot(1, 14_020_000), spot(2, 14_060_000)], BAND);
    expect(stretch).toEqual({ lowHz: 14_018_000, highHz: 14_062_000 });
  });

  it('writes round frequencies with room between', () => {
    expect(ticks(BAND, 560)).toEqual([
      14_000_000, 14_050_000, 14_100_000, 14_150_000, 14_200_000, 14_250_000, 14_300_000, 14_350_000,
    ]);
  });
});
