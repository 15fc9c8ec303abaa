/** A locator's square on a flat map of 360 by 180, north up. */
export interface Patch {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** Where a square such as `HM49` lies; undefined when it is none. One unit is a degree. */
export function patch(square: string): Patch | undefined {
  if (!/^[A-R]{2}\d\d$/.test(square)) {
    return undefined;
  }
  const [field, row] = [square.charCodeAt(0) - 65, square.charCodeAt(1) - 65];
  const [lon, lat] = [Number(square.charAt(2)), Number(square.charAt(3))];
  return { x: field * 20 + lon * 2, y: 180 - (row * 10 + lat + 1), width: 2, height: 1 };
}
