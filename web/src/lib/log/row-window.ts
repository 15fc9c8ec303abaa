/** Which rows of a long list are worth drawing. */
export interface RowWindow {
  first: number;
  /** One past the last. */
  end: number;
  /** Height of all rows, px. */
  height: number;
}

const SPARE_ROWS = 12;

/** All rows have one height, so the window is plain arithmetic. Lengths in px. */
export function rowWindow(scrollTop: number, viewHeight: number, rows: number, rowHeight: number): RowWindow {
  const first = Math.max(0, Math.floor(scrollTop / rowHeight) - SPARE_ROWS);
  const end = Math.min(rows, Math.ceil((scrollTop + viewHeight) / rowHeight) + SPARE_ROWS);
  return { first: Math.min(first, end), end, height: rows * rowHeight };
}
