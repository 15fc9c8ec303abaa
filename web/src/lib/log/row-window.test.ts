import { describe, expect, it } from 'vitest';
import { placeAt, rowsAt, rowWindow, scrollFor } from './row-window';

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

  it('keeps a row with its contact, and never gives two rows one key', () => {
    const contacts = [{ id: 7 }, { id: 5 }, { id: 7 }];
    const keys = rowsAt([0, 1, 2, 3], (place) => contacts[place]).map((row) => row.key);
    expect(keys).toEqual(['contact 7', 'contact 5', 'place 2', 'place 3']);
  });
});
