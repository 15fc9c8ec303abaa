import type { TextPart } from '../../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // AccountFields
  address: 'Address',
  account: 'Account',
  password: 'Password',
  none: 'none',
  oneIsStored: 'One is stored; leave this empty to keep it',
  onlyForThis: (name: TextPart) => `Only for ${name}`,
  test: 'Test',
  clearPassword: 'Clear password',
  asking: (name: TextPart) => `Asking ${name}…`,
};
