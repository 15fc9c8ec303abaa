import { describe, expect, it } from 'vitest';
import type { ContestContact } from '../../platform/api/client';
import { LatestLists, withContact } from './latest';

const contact = (contactId: number, minute: string) =>
  ({ contactId, start: `2026-12-01T12:${minute}:00Z` }) as ContestContact;
const ids = (contacts: ContestContact[]) => contacts.map((one) => one.contactId);

describe('the latest contacts', () => {
  const contacts = [contact(7, '30'), contact(5, '20')];

  it('have one that was just logged in its place', () => {
    expect(ids(withContact(contacts, contact(8, '31')))).toEqual([8, 7, 5]);
    expect(ids(withContact(contacts, contact(8, '25')))).toEqual([7, 8, 5]);
    expect(ids(withContact(contacts, contact(8, '10')))).toEqual([7, 5, 8]);
    expect(ids(withContact([], contact(8, '10')))).toEqual([8]);
  });

  it('have it once, also when they were read before the answer came', () => {
    expect(withContact(contacts, contact(5, '20'))).toBe(contacts);
  });
});

describe('lists that come in another order than they were asked for', () => {
  it('do not take the place of later ones', () => {
    const lists = new LatestLists();
    const first = lists.ask();
    const second = lists.ask();
    expect(lists.take(second, [contact(2, '01')])).toHaveLength(1);
    expect(lists.take(first, [])).toBeUndefined();
  });

  it('keep a contact that was logged after they were asked for', () => {
    const lists = new LatestLists();
    lists.logged(contact(1, '10'));
    const asked = lists.ask();
    lists.logged(contact(3, '30'));
    expect(ids(lists.take(asked, [contact(2, '20')]) ?? [])).toEqual([3, 2]);
    expect(ids(lists.take(lists.ask(), [contact(2, '20')]) ?? [])).toEqual([2]);
  });
});
