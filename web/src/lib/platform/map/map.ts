import { geoRotation } from 'd3-geo';
import type { LineString } from 'geojson';

type LonLat = [number, number];

/** A beam reaches halfway round; a little less, so that its end has one direction. */
const REACH_DEGREES = 178;
const STEP_DEGREES = 4;

/** The middle of the night: right opposite the point below the sun. */
export function nightCentre(latitude: number, longitude: number): LonLat {
  return [longitude > 0 ? longitude - 180 : longitude + 180, -latitude];
}

/** The great circle a beam follows from a point, in degrees true, halfway round the earth. */
export function beamLine(from: LonLat, headingDegrees: number): LineString {
  // Seen from the pole every meridian is a heading; turning the sphere brings the pole to where we are.
  const turn = geoRotation([-from[0], -from[1], 0]);
  const heading = (headingDegrees * Math.PI) / 180;
  const coordinates: LonLat[] = [];
  for (let arc = 0; arc <= REACH_DEGREES; arc += STEP_DEGREES) {
    const angle = (arc * Math.PI) / 180;
    const latitude = Math.asin(Math.sin(angle) * Math.cos(heading));
    const longitude = Math.atan2(Math.sin(angle) * Math.sin(heading), Math.cos(angle));
    coordinates.push(turn.invert([(longitude * 180) / Math.PI, (latitude * 180) / Math.PI]));
  }
  return { type: 'LineString', coordinates };
}
