import { describe, expect, it } from 'vitest';
import { readAddress, writeAddress, type Address, type AddressForm } from './address';

const FORM: AddressForm = {
  views: ['log', 'on-air', 'hookups', 'services'],
  firstView: 'log',
  drawers: [
    { of: 'contact', id: 'number' },
    { of: 'hookup', id: 'text' },
    { of: 'changes', id: 'none' },
  ],
  parts: [
    { view: 'log', name: 'find' },
    { view: 'services', name: 'lane' },
  ],
};

describe('an address', () => {
  it.each<[string, Partial<Address>]>([
    ['#/log', {}],
    [
      '#/log/statistics?find=band%3A20m+name%3A%22a+b%22',
      { page: 'statistics', more: { find: 'band:20m name:"a b"' } },
    ],
    ['#/log?find=50%25+%26+%3F&contact=12', { more: { find: '50% & ?' }, drawer: { of: 'contact', id: 12 } }],
    ['#/services?lane=3', { view: 'services', more: { lane: '3' } }],
    ['#/hookups?hookup=feed-2', { view: 'hookups', drawer: { of: 'hookup', id: 'feed-2' } }],
    ['#/on-air/goals?side=changes', { view: 'on-air', page: 'goals', drawer: { of: 'changes' } }],
  ])('%s', (hash, said) => {
    const address = { view: 'log', page: '', drawer: undefined, more: {}, ...said };
    expect(readAddress(hash, FORM)).toEqual(address);
    expect(writeAddress(address)).toBe(hash);
  });

  it.each(['', '#', '#/', '#/nowhere', '#/log?contact=abc&side=nothing&lane=1'])(
    'that cannot be understood, %s, is the log',
    (hash) => expect(writeAddress(readAddress(hash, FORM))).toBe('#/log'),
  );
});
