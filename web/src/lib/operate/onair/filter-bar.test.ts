// @vitest-environment jsdom
import { fireEvent, screen } from '@testing-library/svelte';
import { describe, expect, it, vi } from 'vitest';
import { OnAirStore } from './on-air.svelte';
import { BandPlanStore } from '../../sources/radio/band-plan.svelte';
import type { Page } from '../../../page';
import type { FakeServer } from '../../platform/shared/fake-server';
import { type Show, onPage, press } from '../../platform/shared/on-page';
import FilterBar from './FilterBar.svelte';
import { EVERYTHING, WANTED } from './filter';

let server: FakeServer;
let page: Page;
let render: Show;
const store = <T>(one: abstract new (...args: never[]) => T) => page.stores.get(one);

onPage((fresh) => ({ server, page, render } = fresh));

const change = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe('the filter', () => {
  function show() {
    server
      .on('GET /api/onair/views', [{ name: 'Contest', filter: { ...EVERYTHING, groups: ['CW'] } }])
      .on('GET /api/onair/entities', [
        { number: 263, name: 'Netherlands' },
        { number: 291, name: 'United States of America' },
      ]);
    store(OnAirStore).air.sentence = [
      { about: 'NEED', words: 'needed in any way' },
      { about: 'AGE', words: 'heard in the last 30 minutes' },
    ];
    store(OnAirStore).air.filter = { ...EVERYTHING, need: 'BAND_AND_MODE' };
    store(BandPlanStore).bands = ['20m', '23cm'].map((name) => ({
      name,
      usual: name === '20m',
    })) as BandPlanStore['bands'];
    render(FilterBar);
  }

  it('is a sentence of which phrases are taken out', async () => {
    show();
    await press(/needed in any way/);
    expect(store(OnAirStore).air.filter.need).toBeUndefined();
    await change('Heard in the last minutes', '10');
    expect(store(OnAirStore).air.filter.maxAgeMinutes).toBe(10);
    expect(JSON.parse(localStorage.getItem('yokebar-air-filter') ?? '{}').maxAgeMinutes).toBe(10);
  });

  it('asks for more, by modes, bands, places and who', async () => {
    show();
    await press('Add filter');
    await screen.findByRole('button', { name: 'CW' });
    await press('CW');
    await press('20m');
    expect(screen.queryByRole('button', { name: '23cm' })).toBeNull();
    await press('all bands');
    await press('23cm');
    await press('20m');
    await press('calling CQ');
    await change('Least signal, dB', '12');
    expect(store(OnAirStore).air.filter).toMatchObject({
      groups: ['CW'],
      bands: ['23cm'],
      callingCq: true,
      snrFloorDb: 12,
    });
    await change('Least signal, dB', '');
    expect(store(OnAirStore).air.filter.snrFloorDb).toBeUndefined();
  });

  it('takes entities by the beginning of their names, each field by itself', async () => {
    show();
    await press('Add filter');
    const heard = await screen.findByLabelText('Heard from an entity');
    await fireEvent.input(heard, { target: { value: 'nether' } });
    expect(screen.getByLabelText('Stations in an entity')).toHaveProperty('value', '');
    // At once: the list of entities may still be on its way.
    await fireEvent.submit(heard.closest('form') as HTMLFormElement);
    await vi.waitFor(() => expect(store(OnAirStore).air.filter.hearerEntities).toEqual([263]));
    await fireEvent.input(heard, { target: { value: 'atlantis' } });
    await fireEvent.submit(heard.closest('form') as HTMLFormElement);
    await screen.findByText('No entity is called “atlantis”.');
  });

  it('tells zones from call areas', async () => {
    show();
    await press('Add filter');
    const field = await screen.findByLabelText('Heard from a zone or a call area');
    const enter = async (value: string) => {
      await fireEvent.input(field, { target: { value } });
      await fireEvent.submit(field.closest('form') as HTMLFormElement);
    };
    await enter('14');
    await enter(' k1 ');
    await enter('');
    expect(store(OnAirStore).air.filter).toMatchObject({ hearerZones: [14], hearerAreas: ['K1'] });
  });

  it('is kept under a name, taken again, and forgotten', async () => {
    show();
    await press('Views');
    await fireEvent.click(await screen.findByRole('button', { name: 'Contest' }));
    expect(store(OnAirStore).air.filter.groups).toEqual(['CW']);
    await press('What I need');
    expect(store(OnAirStore).air.filter).toEqual(WANTED);
    server.on('PUT /api/onair/views', { detail: 'There are enough of them.' }, 422);
    await fireEvent.input(screen.getByLabelText('Name for this filter'), { target: { value: 'Mine' } });
    await press('Keep it');
    expect((await screen.findByRole('alert')).textContent).toBe('There are enough of them.');
    server.on('DELETE /api/onair/views/Contest', []);
    await press('Forget Contest');
    await vi.waitFor(() => expect(screen.queryByRole('button', { name: 'Contest' })).toBeNull());
  });

  it('ranks by the contest that runs until it is asked not to, for that contest', async () => {
    const onAir = store(OnAirStore);
    onAir.running = () => ({ id: 3, name: 'Harbour Hours' });
    server.on('POST /api/onair/look', { mark: '', whole: true, spots: [], gone: [], onAir: 0, sentence: [] });
    const watched = onAir.air.watch();
    render(FilterBar);
    await press(/^Ranked for Harbour Hours/);
    expect(onAir.contest).toBeUndefined();
    expect(onAir.air.contestBook()).toBeUndefined();
    expect(onAir.contestList.contestBook()).toBe(3);
    await press('Rank for Harbour Hours');
    expect(onAir.air.contestBook()).toBe(3);
    await expect.poll(() => server.sent['POST /api/onair/look']).toMatchObject({ contestBook: 3 });
    await press(/^Ranked for Harbour Hours/);
    onAir.running = () => ({ id: 4, name: 'Lantern Weekend' });
    expect(onAir.contest?.id).toBe(4);
    watched();
  });
});
