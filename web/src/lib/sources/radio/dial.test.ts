import { describe, expect, it } from 'vitest';
import { digits, stepped } from './dial';

describe('the readout', () => {
  it('has a step for every digit', () => {
    const dial = digits(14_074_000);
    expect(dial.map((d) => d.figure).join('')).toBe('14074000');
    expect(dial[0]).toEqual({ figure: '1', stepHz: 10_000_000 });
    expect(dial[7]).toEqual({ figure: '0', stepHz: 1 });
    expect(digits(474_200)).toHaveLength(7);
  });

  it('grows with microwaves', () => {
    expect(digits(10_368_100_000)).toHaveLength(11);
  });

  it('steps up and down and stops at zero', () => {
    expect(stepped(14_074_000, 1000, 2)).toBe(14_076_000);
    expect(stepped(14_074_000, 1000, -2)).toBe(14_072_000);
    expect(stepped(500, 1000, -1)).toBe(0);
  });
});
