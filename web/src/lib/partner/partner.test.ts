import { describe, expect, it, vi } from 'vitest';
import type { PartnerView } from '../api/client';
import { PartnerStore, type Whom } from './partner.svelte';

const view = (whom: Whom): PartnerView => ({
  call: whom.call,
  station: [],
  ofEntity: [],
  earlier: [],
  contacts: 0,
  confirmed: 0,
});

describe('PartnerStore', () => {
  it('asks once for whom typing ended on', async () => {
    const asked: string[] = [];
    const store = new PartnerStore(async (whom) => {
      asked.push(whom.call);
      return view(whom);
    });
    store.show({ call: 'ZP5' }, 1);
    store.show({ call: 'ZP5Q' }, 1);
    store.show({ call: 'ZP5QXA' }, 1);
    store.show({ call: 'ZP5QXA' }, 1);
    await vi.waitFor(() => expect(store.view?.call).toBe('ZP5QXA'));
    expect(asked).toEqual(['ZP5QXA']);
  });

  it('shows nobody when nobody is meant, and says what went wrong', async () => {
    const store = new PartnerStore(async (whom) => {
      if (whom.call === 'BAD') throw new Error('no answer');
      return view(whom);
    });
    store.show({ call: 'ZP5QXA' }, 1);
    await vi.waitFor(() => expect(store.view).toBeDefined());
    store.show(undefined, 1);
    expect(store.view).toBeUndefined();
    store.show({ call: 'BAD' }, 1);
    await vi.waitFor(() => expect(store.problem).toContain('no answer'));
  });
});
