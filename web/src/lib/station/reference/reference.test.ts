// @vitest-environment jsdom
import { beforeEach, describe, expect, it } from 'vitest';
import { fireEvent, render, screen } from '@testing-library/svelte';
import { FakeServer } from '../../platform/shared/fake-server';
import ReferencePanel from './ReferencePanel.svelte';
import { ReferenceStore } from './reference.svelte';

const REFERENCE = {
  edition: '2026-11-01',
  shipped: '2026-11-01',
  entities: 340,
  daily: true,
  failed: false,
  address: 'http://publisher/',
  stationLists: [
    { file: 'stations', edition: '2026-11-20', stations: 1 },
    { file: 'exchanges', stations: 0 },
  ],
};

describe('lists', () => {
  let server: FakeServer;
  beforeEach(() => (server = new FakeServer().on('GET /api/reference', REFERENCE)));

  it('shows the edition in use after a look', async () => {
    server.on('POST /api/reference/look', { ...REFERENCE, edition: '2026-11-20', outcome: 'In use now.' });
    const store = new ReferenceStore();
    await store.look();
    expect(store.view?.edition).toBe('2026-11-20');
  });

  it('says of each list how old it is and what it holds, and drops one', async () => {
    render(ReferencePanel);
    const row = await screen.findByRole('row', { name: /^Stations/ });
    expect(row.textContent).toMatch(/2026-11-20\s*1 station(?!s)/);
    expect(screen.getByRole('row', { name: /^Exchange history/ }).textContent).toContain('none yet');
    expect(screen.queryByRole('button', { name: 'Drop Exchange history' })).toBeNull();
    server.on('DELETE /api/reference/station-lists/stations', {
      ...REFERENCE,
      stationLists: [{ file: 'stations', stations: 0 }],
    });
    await fireEvent.click(screen.getByRole('button', { name: 'Drop Stations' }));
    await expect.poll(() => row.textContent).toContain('none yet');
  });

  it('keeps the list in use and says what is wrong with a file', async () => {
    const store = new ReferenceStore();
    await store.load();
    server.on('POST /api/reference/station-lists/stations', { detail: 'Line 1: no call.' }, 422);
    await store.takeList('stations', new File(['<html>'], 'page.html'));
    expect(store.doing.problem).toBe('Line 1: no call.');
    expect(store.view?.stationLists[0]?.stations).toBe(1);
    server.on('POST /api/reference/station-lists/stations', REFERENCE);
    await store.takeList('stations', new File(['K4QOX'], 'own.txt'));
    expect([store.doing.problem, store.doing.notice]).toEqual(['', 'own.txt is in use now.']);
  });
});
