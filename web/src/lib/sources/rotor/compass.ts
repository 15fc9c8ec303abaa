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

/** The arcs of dead zones as they are written, `170-190, 300-310`, as outlines of a ring's pieces. */
export function deadArcs(zones: string, inner: number, outer: number): string[] {
  return zones
    .split(',')
    .map((zone) => zone.trim().split('-').map(Number))
    .filter((ends) => ends.length === 2 && ends.every((end) => Number.isFinite(end)))
    .map(([from = 0, to = 0]) => {
      const large = (to - from + 360) % 360 > 180 ? 1 : 0;
      const a = onCircle(from, outer);
      const b = onCircle(to, outer);
      const c = onCircle(to, inner);
      const d = onCircle(from, inner);
      return `M${a.x} ${a.y}A${outer} ${outer} 0 ${large} 1 ${b.x} ${b.y}L${c.x} ${c.y}A${inner} ${inner} 0 ${large} 0 ${d.x} ${d.y}Z`;
    });
}
