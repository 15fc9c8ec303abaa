import type { FeatureCollection } from 'geojson';

let loaded: Promise<FeatureCollection | undefined> | undefined;

/** The shapes of the continents; fetched once, when the first map is drawn. */
export function land(): Promise<FeatureCollection | undefined> {
  loaded ??= load();
  return loaded;
}

async function load(): Promise<FeatureCollection | undefined> {
  const [{ feature }, atlas] = await Promise.all([
    import('topojson-client'),
    import('world-atlas/land-110m.json'),
  ]);
  const topology = atlas.default as unknown as Parameters<typeof feature>[0];
  const object = topology.objects.land;
  return object ? (feature(topology, object) as FeatureCollection) : undefined;
}
