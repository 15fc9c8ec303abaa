// @vitest-environment jsdom
import { screen } from '@testing-library/svelte';
import { tick } from 'svelte';
import { expect, it } from 'vitest';
import type { StationView } from '../api/client';
import { StationStore } from '../../station/profile/station.svelte';
import { PositionStore } from '../../station/position/positions.svelte';
import { type TestPage, onPage } from '../shared/on-page';
import Rail from './Rail.svelte';

let fresh: TestPage;

onPage((page) => (fresh = page));

it('names who sits here once that is known, and nobody else before', async () => {
  fresh.page.stores.get(PositionStore).takeAll([{ id: 1, name: 'Lamp room', operatorId: 7 }]);
  fresh.render(Rail);
  expect(screen.queryByText('Lamp room')).toBeNull();
  fresh.page.stores.get(StationStore).view = {
    operators: [{ id: 7, callSign: 'CU9QBT' }],
  } as unknown as StationView;
  await tick();
  expect(screen.getByText('CU9QBT')).toBeTruthy();
  fresh.page.stores.get(PositionStore).takeAll([{ id: 1, name: 'Lamp room' }]);
  await tick();
  expect(screen.getByText('Lamp room')).toBeTruthy();
});
