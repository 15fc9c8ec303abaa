/** A point on a circle of radius 1 around the origin, north up, degrees clockwise. */
export function onCircle(degrees: number, radius: number): { x: number; y: number } {
  const angle = (degrees * Math.PI) / 180;
  return { x: Math.sin(angle) * radius, y: -Math.cos(angle) * radius };
}

/** The heading of a point seen from the middle, 0 to 359, whole degrees. */
export function headingOf(dx: number, dy: number): number {
  const degrees = Math.round((Math.atan2(dx, -dy) * 180) / Math.PI);
  return (degrees + 360) % 360;
}

export function opposite(degrees: number): number {
  return (degrees + 180) % 360;
}
