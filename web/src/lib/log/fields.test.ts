import { describe, expect, it } from 'vitest';
import { changedFields, clashes, followed, otherFields } from './fields';

it('finds what an edit changes', () => {
  const read = { CALL: 'ZP5QXA', NAME: 'Ana' };
  expect(changedFields(read, { CALL: 'ZP5QXA', NAME: '', QTH: ' Luque ', RST_SENT: '' })).toEqual({
    NAME: '',
    QTH: 'Luque',
  });
  expect(changedFields(read, { CALL: ' ZP5QXA', NAME: 'Ana' })).toEqual({});
});

it('lists the fields that are not shown first', () => {
  expect(otherFields({ CALL: 'ZP5QXA', PROP_MODE: 'RPT', APP_X: '1', DXCC: '132' })).toEqual([
    'APP_X',
    'DXCC',
  ]);
});

describe('two people at one contact', () => {
  const before = { NAME: 'Ana', QTH: 'Luque', COMMENT: 'loud' };
  const form = { ...before, NAME: 'Anna', QTH: 'Areguá', STATE: '' };

  it('clash only where both changed the same field to different values', () => {
    expect(clashes(before, { NAME: 'Anja', QTH: 'Areguá', COMMENT: 'weak' }, form)).toEqual({ NAME: 'Anja' });
    expect(clashes(before, { QTH: 'Luque', COMMENT: 'loud' }, form)).toEqual({ NAME: '' });
    expect(clashes(before, before, form)).toEqual({});
  });

  it('what nobody typed here follows the other, what was typed stays', () => {
    expect(followed(before, { NAME: 'Anja', QTH: 'Luque', COMMENT: 'weak', IOTA: 'SA-001' }, form)).toEqual({
      NAME: 'Anna',
      QTH: 'Areguá',
      COMMENT: 'weak',
      STATE: '',
      IOTA: 'SA-001',
    });
  });
});
