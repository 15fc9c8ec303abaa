import { describe, expect, it } from 'vitest';
import { chosen, toggled } from './search-text';

describe('words of the search box', () => {
  it.each([
    ['', 'band', '20m', 'band:20m'],
    ['ana', 'band', '20m', 'ana band:20m'],
    ['band:20m', 'band', '40m', 'band:20m,40m'],
    ['band:20m,40m ana', 'band', '20m', 'ana band:40m'],
    ['band:20m', 'band', '20m', ''],
    ['entity:Japan', 'entity', 'United States', 'entity:"United States"'],
    ['entity:"United States"', 'entity', 'United States', ''],
    ['-band:20m', 'band', '40m', '-band:20m band:40m'],
  ])('%s with %s %s becomes %s', (text, name, value, expected) => {
    expect(toggled(text, name, value)).toBe(expected);
  });

  it('knows which values are asked for', () => {
    expect(chosen('ana Band:20m,40m -band:10m', 'band')).toEqual(['20m', '40m']);
    expect(chosen('entity:"United States"', 'entity')).toEqual(['united states']);
    expect(chosen('band:', 'band')).toEqual([]);
  });
});
