import { describe, expect, it } from 'vitest';
import { deadArcs, headingOf, onCircle, opposite } from './compass';

describe('the compass', () => {
  it.each([
    [0, -1, 0],
    [1, 0, 90],
    [0, 1, 180],
    [-1, 0, 270],
    [-0.001, -1, 0],
  ])('a click at %f, %f means %i°', (dx, dy, heading) => expect(headingOf(dx, dy)).toBe(heading));

  it('draws a heading where a click would mean it', () => {
    for (let degrees = 0; degrees < 360; degrees += 7) {
      const { x, y } = onCircle(degrees, 80);
      expect(headingOf(x, y)).toBe(degrees);
    }
  });

  it('knows the long path', () => {
    expect(opposite(10)).toBe(190);
    expect(opposite(350)).toBe(170);
  });
});

describe('dead zones', () => {
  it('are drawn as pieces of a ring', () => {
    expect(deadArcs('', 74, 84)).toEqual([]);
    expect(deadArcs('170-190, 300-310', 74, 84)).toHaveLength(2);
    expect(deadArcs('10-350', 74, 84)[0]).toContain('A84 84 0 1 1');
    expect(deadArcs('350-10', 74, 84)[0]).toContain('A84 84 0 0 1');
  });
});
