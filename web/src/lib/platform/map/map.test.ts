import { describe, expect, it } from 'vitest';
import { beamLine, nightCentre } from './map';

describe('the night', () => {
  it('lies opposite the sun', () => {
    expect(nightCentre(23.4, 10)).toEqual([-170, -23.4]);
    expect(nightCentre(-5, -120)).toEqual([60, 5]);
  });
});

describe('a beam', () => {
  const corvo: [number, number] = [-31.1, 39.7];

  it('starts where we are', () => {
    const [first] = beamLine(corvo, 90).coordinates;
    expect(first?.[0]).toBeCloseTo(-31.1);
    expect(first?.[1]).toBeCloseTo(39.7);
  });

  it('to the north goes up the meridian and over the pole', () => {
    const line = beamLine(corvo, 0).coordinates;
    expect(line[5]?.[0]).toBeCloseTo(-31.1);
    expect(line[5]?.[1]).toBeCloseTo(59.7);
    expect(Math.abs(line[20]?.[0] ?? 0)).toBeCloseTo(148.9);
  });

  it('along the equator stays there', () => {
    const line = beamLine([0, 0], 90).coordinates;
    expect(line[10]?.[0]).toBeCloseTo(40);
    expect(line[10]?.[1]).toBeCloseTo(0);
  });
});
