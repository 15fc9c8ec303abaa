import { describe, expect, it } from 'vitest';
import { bandName, stateOf, type Cell } from './need';

describe('bandName', () => {
  it.each([
    ['M20', '20m'],
    ['CM70', '70cm'],
    ['M1_25', '1.25m'],
    ['SUBMM', 'submm'],
  ])('%s is %s', (constant, name) => expect(bandName(constant)).toBe(name));
});

describe('stateOf', () => {
  const cells: Cell[] = [
    { band: 'M20', group: 'CW', contacts: 3, confirmed: 1 },
    { band: 'M40', group: 'CW', contacts: 1, confirmed: 0 },
  ];
  it('tells needed, worked and confirmed apart', () => {
    expect(stateOf(cells, '20m', 'CW')).toBe('CONFIRMED');
    expect(stateOf(cells, '40m', 'CW')).toBe('WORKED');
    expect(stateOf(cells, '40m', 'PHONE')).toBe('NEEDED');
  });
});
