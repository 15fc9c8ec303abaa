import { describe, expect, it, vi } from 'vitest';
import type { PartnerView } from '../../platform/api/client';
import { PartnerStore, type Whom } from './partner.svelte';

const view = (whom: Whom): PartnerView => ({
  call: whom.call,
  station: [],
  ofEntity: [],
  earlier: [],
  contacts: 0,
  confirmed: 0,
});

const knowsNothing = async () => ({ news: false });

describe('PartnerStore', () => {
  it('asks once for whom typing ended on', async () => {
    const asked: string[] = [];
    const store = new PartnerStore(async (whom) => {
      asked.push(whom.call);
      return view(whom);
    }, knowsNothing);
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
    }, knowsNothing);
    store.show({ call: 'ZP5QXA' }, 1);
    await vi.waitFor(() => expect(store.view).toBeDefined());
    store.show(undefined, 1);
    expect(store.view).toBeUndefined();
    store.show({ call: 'BAD' }, 1);
    await vi.waitFor(() => expect(store.problem).toContain('no answer'));
  });

  it('takes in what the callbook adds, and says why it adds nothing', async () => {
    let name: string | undefined;
    const store = new PartnerStore(
      async (whom) => ({ ...view(whom), name }),
      async (call) => {
        if (call === 'ZP5QXB') return { news: false, problem: 'The callbook does not answer.' };
        name = 'Ana';
        return { news: true };
      },
    );
    store.show({ call: 'ZP5QXA' }, 1);
    await vi.waitFor(() => expect(store.view).toBeDefined());
    expect(store.view?.name).toBeUndefined();
    await vi.waitFor(() => expect(store.view?.name).toBe('Ana'));
    store.show({ call: 'ZP5QXB' }, 1);
    await vi.waitFor(() => expect(store.lookup.problem).toBe('The callbook does not answer.'));
    expect(store.view?.call).toBe('ZP5QXB');
  });
});
