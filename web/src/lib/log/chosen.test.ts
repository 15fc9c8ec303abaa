import { describe, expect, it, vi } from 'vitest';
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
    expect(chosen.whole).toBe(true);
    expect(chosen.has(77)).toBe(true);
    expect(chosen.selection('40m')).toEqual({ search: '40m', except: [] });
  });

  it('leaves out of all those that are taken out, and no other', () => {
    const chosen = new Chosen();
    chosen.chooseAll(9);
    chosen.toggle(3);
    chosen.toggle(4);
    chosen.toggle(4);
    expect(chosen.size).toBe(8);
    expect(chosen.whole).toBe(false);
    expect(chosen.has(3)).toBe(false);
    expect(chosen.has(4)).toBe(true);
    expect(chosen.selection('40m')).toEqual({ search: '40m', except: [3] });
    chosen.add([3, 5]);
    expect(chosen.whole).toBe(true);
    chosen.clear();
    expect(chosen.size).toBe(0);
    chosen.add([1, 2]);
    expect(chosen.selection('40m')).toEqual({ ids: [1, 2] });
  });

  it('names those it holds where a service wants numbers', async () => {
    const fetched = vi.fn((request: Request) => {
      const asked = new URL(request.url).searchParams;
      expect(asked.get('search')).toBe('40m');
      return Promise.resolve(Response.json([9, 8, 7, 6, 5].slice(0, Number(asked.get('limit')))));
    });
    vi.stubGlobal('fetch', fetched);
    const chosen = new Chosen();
    chosen.add([1, 2, 3]);
    expect(await chosen.firstIds('40m', 2)).toEqual([1, 2]);
    expect(fetched).not.toHaveBeenCalled();
    chosen.chooseAll(5);
    chosen.toggle(8);
    expect(await chosen.firstIds('40m', 3)).toEqual([9, 7, 6]);
    vi.unstubAllGlobals();
  });
});
