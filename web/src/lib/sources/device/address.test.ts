import { describe, expect, it } from 'vitest';
import { isSerial } from './address';

describe('an address', () => {
  it.each([
    ['/dev/ttyUSB0', true],
    [' COM3', true],
    ['127.0.0.1:7402', false],
    ['commons:80', false],
  ])('%s', (address, serial) => expect(isSerial(address)).toBe(serial));
});
