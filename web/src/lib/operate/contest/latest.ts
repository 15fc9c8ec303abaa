import type { ContestContact } from '../../platform/api/client';

/** The list with a contact that was just logged, the latest first; it may be there already. */
export function withContact(contacts: ContestContact[], logged: ContestContact): ContestContact[] {
  if (contacts.some((one) => one.contactId === logged.contactId)) return contacts;
  const at = contacts.findIndex((one) => one.start <= logged.start);
  return contacts.toSpliced(at < 0 ? contacts.length : at, 0, logged);
}
