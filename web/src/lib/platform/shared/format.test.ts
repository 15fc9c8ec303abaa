import { describe, expect, it } from 'vitest';
import { ago, counted, form, grouped, kiloHertz, until } from './format';

describe('format', () => {
  it('groups numbers', () => {
    expect(grouped(12486).replace('\u2009', ' ')).toBe('12 486');
    expect(grouped(7)).toBe('7');
    expect(counted(1, 'contact')).toBe('1 contact');
    expect(counted(2, 'contact')).toBe('2 contacts');
    expect(counted(0, 'contact')).toBe('0 contacts');
    expect(form(1, { one: 'this one', other: 'these' })).toBe('this one');
    expect(form(21, { one: 'this one', other: 'these' })).toBe('these');
  });

  it('writes frequencies in kHz', () => {
    expect(kiloHertz(14_074_520).replace('\u2009', ' ')).toBe('14 074.5');
    expect(kiloHertz(undefined)).toBe('');
  });

  it('tells ages and waits', () => {
    const now = Date.parse('2026-05-01T14:00:00Z');
    expect(ago('2026-05-01T13:59:59Z', now)).toBe('now');
    expect(ago('2026-05-01T13:59:20Z', now)).toBe('40 s ago');
    expect(ago('2026-05-01T13:30:00Z', now)).toBe('30 min ago');
    expect(ago('2026-04-01T13:30:00Z', now)).toBe('2026-04-01');
    expect(until('2026-05-01T14:00:12Z', now)).toBe('in 12 s');
    expect(until('2026-05-01T14:03:12Z', now)).toBe('in 4 min');
    expect(until('2026-05-01T13:00:00Z', now)).toBe('now');
  });
});
