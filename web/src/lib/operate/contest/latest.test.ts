import { describe, expect, it } from 'vitest';
import type { ContestContact } from '../../platform/api/client';
import { withContact } from './latest';

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
