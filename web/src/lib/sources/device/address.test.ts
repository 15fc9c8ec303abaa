import { describe, expect, it } from 'vitest';
import { isSerial } from './address';
import { withReports } from './newest';

describe('the answer to a change', () => {
  type Device = { id: number; name: string; heading?: number };

  it('does not take back what the device reported meanwhile', () => {
    const answer: Device[] = [
      { id: 1, name: 'New name' },
      { id: 2, name: 'Other', heading: 7 },
    ];
    const known: Device[] = [
      { id: 1, name: 'Old', heading: 90 },
      { id: 2, name: 'Other', heading: 5 },
    ];
    expect(withReports(answer, known, ['heading'])).toEqual([
      { id: 1, name: 'New name', heading: 90 },
      { id: 2, name: 'Other', heading: 7 },
    ]);
  });
});

describe('an address', () => {
  it.each([
    ['/dev/ttyUSB0', true],
    [' COM3', true],
    ['127.0.0.1:7402', false],
    ['commons:80', false],
  ])('%s', (address, serial) => expect(isSerial(address)).toBe(serial));
});
