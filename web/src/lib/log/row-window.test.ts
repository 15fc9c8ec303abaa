import { expect, it } from 'vitest';
import { rowWindow } from './row-window';

it('draws only what is near the view', () => {
  expect(rowWindow(0, 600, 100_000, 30)).toEqual({ first: 0, end: 32, height: 3_000_000 });
  expect(rowWindow(30_000, 600, 100_000, 30)).toEqual({ first: 988, end: 1032, height: 3_000_000 });
});

it('stays inside short and shrunken lists', () => {
  expect(rowWindow(0, 600, 3, 30)).toEqual({ first: 0, end: 3, height: 90 });
  expect(rowWindow(9000, 600, 3, 30)).toEqual({ first: 3, end: 3, height: 90 });
  expect(rowWindow(0, 600, 0, 30)).toEqual({ first: 0, end: 0, height: 0 });
});
