import { describe, expect, it } from 'vitest';
import { Chosen } from './chosen.svelte';

describe('Chosen', () => {
  it('takes single ones in and out', () => {
    const chosen = new Chosen();
    chosen.toggle(3);
    chosen.toggle(4);
    chosen.toggle(3);
    expect(chosen.size).toBe(1);
    expect(chosen.has(4)).toBe(true);
    expect(chosen.selection('ana')).toEqual({ ids: [4] });
  });

  it('takes all that a search finds, without naming them', () => {
    const chosen = new Chosen();
    chosen.toggle(3);
    chosen.chooseAll(9);
    expect(chosen.size).toBe(9);
    expect(chosen.has(77)).toBe(true);
    expect(chosen.selection('40m')).toEqual({ search: '40m' });
  });

  it('names them again when one is added or taken out', () => {
    const chosen = new Chosen();
    chosen.chooseAll(9);
    chosen.add([1, 2]);
    expect(chosen.all).toBe(false);
    expect(chosen.selection('40m')).toEqual({ ids: [1, 2] });
    chosen.clear();
    expect(chosen.size).toBe(0);
  });
});
