import { describe, expect, it } from 'vitest';
import type { LogLine } from '../platform/api/client';
import { besides, choosable, column, FIRST_COLUMNS, fitting } from './columns';

const line = { call: 'ZP5QXA', more: { IOTA: 'SA-001' } } as unknown as LogLine;

describe('columns of the log', () => {
  it('knows the usual ones and makes one of any other field', () => {
    expect(column('CALL').text(line)).toBe('ZP5QXA');
    expect(column('IOTA').text(line)).toBe('SA-001');
    expect(column('IOTA').label).toBe('IOTA');
    expect(column('QTH').label).toBe('Town');
  });

  it('asks the server only for what rows do not bring along', () => {
    expect(besides(['CALL', 'IOTA', 'NAME', 'QTH'])).toEqual(['IOTA', 'QTH']);
  });

  it('offers what the log has, without what follows from others', () => {
    const offered = choosable(['CALL', 'IOTA', 'YEAR', 'COUNTERSIGN'], ['COUNTERSIGN']);
    expect(offered).toContain('IOTA');
    expect(offered.filter((f) => f === 'CALL')).toHaveLength(1);
    expect(offered).not.toContain('YEAR');
    expect(offered).not.toContain('COUNTERSIGN');
  });

  it('leaves out the last ones first where there is little room, and never the call', () => {
    const all = FIRST_COLUMNS.map(column);
    const names = (widthPx: number) => fitting(all, widthPx).map((c) => c.field);
    expect(names(2000)).toEqual(FIRST_COLUMNS);
    expect(names(760)).not.toContain('GRIDSQUARE');
    expect(names(560)).toEqual(['QSO_DATE', 'TIME_ON', 'CALL', 'BAND', 'FREQ', 'MODE', 'NAME']);
    expect(names(10)).toEqual(['CALL']);
  });
});
