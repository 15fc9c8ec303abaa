import { expect, it } from 'vitest';
import { changedFields, otherFields } from './fields';

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
