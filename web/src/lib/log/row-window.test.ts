import { describe, expect, it } from 'vitest';
import { placeAt, rowWindow, scrollFor } from './row-window';

describe('rowWindow', () => {
  it('draws what is seen and some more', () => {
    expect(rowWindow(0, 300, 1000, 30)).toEqual({ first: 0, end: 22, height: 30_000, skippedPx: 0 });
    expect(rowWindow(3000, 300, 1000, 30)).toMatchObject({ first: 88, end: 122 });
    expect(rowWindow(0, 300, 3, 30)).toMatchObject({ first: 0, end: 3 });
  });

  it('reaches the last of a million rows within what a browser can draw', () => {
    const rows = 1_000_000;
    const { height } = rowWindow(0, 600, rows, 30);
    const bottom = rowWindow(height - 600, 600, rows, 30);
    expect(bottom.end).toBe(rows);
    expect(placeAt(rows - 1, bottom, 30)).toBe(height - 30);
    const middle = rowWindow(scrollFor(500_000, rows, 600, 30), 600, rows, 30);
    expect(middle.first).toBeLessThanOrEqual(500_000);
    expect(middle.end).toBeGreaterThan(500_000);
  });
});
