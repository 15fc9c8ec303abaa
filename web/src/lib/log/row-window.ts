/** Which rows of a long list are worth drawing. */
export interface RowWindow {
  first: number;
  /** One past the last. */
  end: number;
  /** Height of all rows as the browser sees it, px. */
  height: number;
  /** How many rows above the first one the browser's height leaves out; 0 unless the list is too long for a browser. */
  skippedPx: number;
}

const SPARE_ROWS = 12;
/** Browsers cannot make anything higher than some 33 million px; half a million rows of 30 px are half of that. */
const HIGHEST_PX = 12_000_000;

/**
 * All rows have one height, so the window is plain arithmetic. A list higher than a browser can draw is scrolled through in
 * proportion: the rows near the scroll bar's place are drawn there. Lengths in px.
 */
export function rowWindow(scrollTop: number, viewHeight: number, rows: number, rowHeight: number): RowWindow {
  const whole = rows * rowHeight;
  const height = Math.min(whole, HIGHEST_PX);
  const scrollable = Math.max(1, height - viewHeight);
  const through = Math.min(1, Math.max(0, scrollTop / scrollable));
  const skippedPx = Math.round(through * (whole - height));
  const top = scrollTop + skippedPx;
  const first = Math.max(0, Math.floor(top / rowHeight) - SPARE_ROWS);
  const end = Math.min(rows, Math.ceil((top + viewHeight) / rowHeight) + SPARE_ROWS);
  return { first: Math.min(first, end), end, height, skippedPx };
}

/** Where a row is drawn, px from the top of the list. */
export function placeAt(place: number, view: RowWindow, rowHeight: number): number {
  return place * rowHeight - view.skippedPx;
}

/** Where to scroll to have a row at the top, px. */
export function scrollFor(place: number, rows: number, viewHeight: number, rowHeight: number): number {
  const whole = rows * rowHeight;
  const height = Math.min(whole, HIGHEST_PX);
  return whole <= height
    ? place * rowHeight
    : (place * rowHeight * Math.max(1, height - viewHeight)) / (whole - viewHeight);
}

/** How far a key moves the cursor; undefined when it does not. */
export function rowStep(key: string, page: number, all: number): number | undefined {
  const steps: Partial<Record<string, number>> = {
    ArrowDown: 1,
    ArrowUp: -1,
    PageDown: page,
    PageUp: -page,
    Home: -all,
    End: all,
  };
  return steps[key];
}

/**
 * What stands at the places. A row belongs to its contact and moves with it, so that a click that was meant for it never meets
 * another; while pages are fetched a contact may stand at two places, and its second row belongs to the place then.
 */
export function rowsAt<Row extends { id: number }>(
  places: readonly number[],
  at: (place: number) => Row | undefined,
): { place: number; line: Row | undefined; key: string }[] {
  const seen = new Set<number>();
  return places.map((place) => {
    const line = at(place);
    const own = line !== undefined && !seen.has(line.id);
    if (own) seen.add(line.id);
    return { place, line, key: own ? `contact ${line.id}` : `place ${place}` };
  });
}
