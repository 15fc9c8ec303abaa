import { describe, expect, it } from 'vitest';
import { hookup } from '../../platform/shared/samples';
import { fitPlates } from './plate-room';

const many = (prefix: string, count: number, state: 'LIVE' | 'TROUBLE') =>
  Array.from({ length: count }, (_, i) => hookup({ id: `${prefix}-${i}`, state }));

describe('the plates of the Yoke', () => {
  it('are all shown where there is room', () => {
    const { left, right } = fitPlates(many('a', 3, 'LIVE'), many('b', 2, 'TROUBLE'), 500);
    expect([left.shown.length, left.more, right.shown.length, right.more]).toEqual([3, 0, 2, 0]);
  });

  it('give way to those in trouble, and the others are counted', () => {
    const left = [...many('a', 5, 'LIVE'), ...many('c', 1, 'TROUBLE')];
    const fit = fitPlates(left, many('b', 2, 'TROUBLE'), 600);
    expect(fit.left.shown.map((h) => h.id)).toEqual(['c-0']);
    expect(fit.left).toMatchObject({ more: 5, moreTroubled: 0 });
    expect(fit.right.shown).toHaveLength(2);
  });

  it.each([1280, 1024, 820, 640, 390])('never need more than there is, %d wide', (width) => {
    const room = width - 260;
    const { left, right } = fitPlates(many('a', 9, 'TROUBLE'), many('b', 6, 'TROUBLE'), room);
    expect((left.shown.length + right.shown.length) * 136).toBeLessThanOrEqual(Math.max(0, room - 164));
    expect(left.shown.length + left.more).toBe(9);
    expect(left.moreTroubled).toBe(left.more);
    expect(right.shown.length + right.more).toBe(6);
  });

  it('take no room on a side that has none', () => {
    expect(fitPlates(many('a', 9, 'TROUBLE'), [], 300).left.shown).toHaveLength(1);
  });
});
