import { describe, expect, it } from 'vitest';
import { patch } from './squares';

describe('patch', () => {
  it('lies where its square is', () => {
    expect(patch('AA00')).toEqual({ x: 0, y: 179, width: 2, height: 1 });
    expect(patch('HM49')).toEqual({ x: 148, y: 50, width: 2, height: 1 });
    expect(patch('RR99')).toEqual({ x: 358, y: 0, width: 2, height: 1 });
  });

  it('is none for anything else', () => {
    expect(patch('ZZ00')).toBeUndefined();
    expect(patch('HM4')).toBeUndefined();
  });
});
