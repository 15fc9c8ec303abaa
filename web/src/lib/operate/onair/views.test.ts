// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/svelte';
import { describe, expect, it, vi } from 'vitest';
import type { AirAlert, AirChoices, AlertChoice, StationView } from '../../platform/api/client';
import { OnAirStore } from './on-air.svelte';
import { LatestStore } from '../../log/latest.svelte';
import { StationStore } from '../../station/profile/station.svelte';
import type { Page } from '../../../page';
import type { FakeServer } from '../../platform/shared/fake-server';
import { type Show, onPage, press } from '../../platform/shared/on-page';
import { line, spot } from '../../platform/shared/samples';
import AlertsPage from './AlertsPage.svelte';
import Announcer from './Announcer.svelte';
import GoalsPage from './GoalsPage.svelte';
import HearsUsPage from './HearsUsPage.svelte';
import PostSpot from './PostSpot.svelte';
import Shortlist from './Shortlist.svelte';
import SpotList from './SpotList.svelte';

let server: FakeServer;
let page: Page;
let render: Show;
const store = <T>(one: abstract new (...args: never[]) => T) => page.stores.get(one);

onPage((fresh) => ({ server, page, render } = fresh));

const change = (label: string | RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });

const alertChoice = (kind: AlertChoice['kind']): AlertChoice => ({
  kind,
  shown: true,
  spoken: false,
  notified: false,
  maxPerMinute: 6,
});

const choices = (more: Partial<AirChoices> = {}): AirChoices => ({
  goals: [{ kind: 'ENTITY', granularity: 'EVER', bar: 'WORKED', services: [] }],
  alerts: [alertChoice('WATCHED'), alertChoice('NEW_ENTITY')],
  watch: ['ZP5QXA'],
  ignore: [],
  turnBeam: false,
  ...more,
});

describe('the goals', () => {
  async function show(more: Partial<AirChoices> = {}) {
    server
      .on('GET /api/onair/choices', choices(more))
      .on('POST /api/onair/choices/preview', { onAir: 40, needed: 12, byGoal: [12] });
    render(GoalsPage);
    await screen.findByText('I want');
  }
  const saves = () => server.requests.filter((one) => one === 'PUT /api/onair/choices').length;

  it('say how many on the air they make needed', async () => {
    await show();
    await screen.findByText('12 on the air now');
    expect(screen.getByText(/With these goals/).textContent?.replace(/\s+/g, ' ')).toContain(
      'With these goals 12 of 40 stations on the air now',
    );
  });

  it('say that without one nothing is needed', async () => {
    await show({ goals: [] });
    expect(screen.getByText(/No goal yet/)).toBeDefined();
  });

  it('are changed, added and dropped', async () => {
    await show();
    server.on('PUT /api/onair/choices', choices({ goals: [] }));
    await change('Goal 1: how often', 'BAND');
    await vi.waitFor(() => expect(saves()).toBe(1));
    expect(server.sent['PUT /api/onair/choices']).toMatchObject({
      goals: [{ kind: 'ENTITY', granularity: 'BAND' }],
    });
    await screen.findByText(/No goal yet/);
    server.on('PUT /api/onair/choices', choices());
    await press('Add a goal');
    await screen.findByLabelText('Goal 1: what');
    server.on('PUT /api/onair/choices', choices({ goals: [] }));
    await press('Remove');
    await screen.findByText(/No goal yet/);
  });

  it('may count the contacts with one call and since a day only', async () => {
    await show();
    store(StationStore).view = {
      ownCall: 'CU9QYB',
      calls: [{ callSign: 'CU9QLZ' }],
    } as StationView;
    await screen.findByRole('option', { name: 'CU9QLZ' });
    await change('Goal 1: with which of your calls', 'CU9QLZ');
    await vi.waitFor(() => expect(saves()).toBe(1));
    expect(server.sent['PUT /api/onair/choices']).toMatchObject({ goals: [{ ownCalls: ['CU9QLZ'] }] });
    await change(/Goal 1: since which day/, '2026-01-01');
    await vi.waitFor(() => expect(saves()).toBe(2));
    expect(server.sent['PUT /api/onair/choices']).toMatchObject({ goals: [{ since: '2026-01-01' }] });
  });

  it('what is changed while another change is being saved is built upon it', async () => {
    await show();
    server.on('PUT /api/onair/choices', choices({ turnBeam: true, watch: ['OZ1QAB', 'ZP5Q*'] }));
    void change('Calls I look out for', 'OZ1QAB, ZP5Q*');
    await fireEvent.click(screen.getByLabelText(/Turn the antenna/));
    await vi.waitFor(() => expect(saves()).toBe(2));
    expect(server.sent['PUT /api/onair/choices']).toMatchObject({
      watch: ['OZ1QAB', 'ZP5Q*'],
      turnBeam: true,
    });
  });

  it('what is refused is said, and what holds is shown again', async () => {
    await show();
    server.on('PUT /api/onair/choices', { detail: '"((" is not a pattern.' }, 422);
    await change('Calls I look out for', '((');
    await screen.findByText('"((" is not a pattern.');
    await vi.waitFor(() =>
      expect(screen.getByLabelText('Calls I look out for')).toHaveProperty('value', 'ZP5QXA'),
    );
  });
});

describe('the alerts', () => {
  const alert = (number: number, more: Partial<AirAlert> = {}): AirAlert => ({
    number,
    at: '2026-05-01T14:07:00Z',
    kind: 'WATCHED',
    sentence: `ZP5QXA on 14 025 kHz, ${number}`,
    because: 'ZP5QXA is on your watch list.',
    shown: true,
    spoken: false,
    notified: false,
    ...more,
  });

  async function show(alerts: AirAlert[] = []) {
    server.on('GET /api/onair/choices', choices()).on('GET /api/onair/alerts', alerts);
    render(AlertsPage);
    await screen.findByText('A call on the watch list');
  }

  it('are chosen kind by kind', async () => {
    await show();
    server.on('PUT /api/onair/choices', choices());
    await fireEvent.click(screen.getByLabelText('An entity never worked: spoken'));
    await vi.waitFor(() =>
      expect(server.sent['PUT /api/onair/choices']).toMatchObject({
        alerts: [
          { kind: 'WATCHED', spoken: false },
          { kind: 'NEW_ENTITY', spoken: true },
        ],
      }),
    );
    await change('A call on the watch list: at most a minute', '');
    await vi.waitFor(() =>
      expect(server.sent['PUT /api/onair/choices']).toMatchObject({ alerts: [{ maxPerMinute: 1 }, {}] }),
    );
  });

  it('are quiet from one hour to another', async () => {
    await show();
    server.on('PUT /api/onair/choices', choices({ quietFrom: '22:00:00', quietUntil: '06:00:00' }));
    await change('Quiet from, UTC', '22:00');
    await vi.waitFor(() =>
      expect(server.sent['PUT /api/onair/choices']).toMatchObject({
        quietFrom: '22:00',
        quietUntil: '06:00',
      }),
    );
    await vi.waitFor(() =>
      expect(screen.getByLabelText('Quiet until, UTC')).toHaveProperty('value', '06:00'),
    );
  });

  it('say why they came, and their kind is switched off there', async () => {
    await show([alert(1)]);
    await screen.findByText('ZP5QXA is on your watch list.');
    server.on('PUT /api/onair/choices', choices());
    await press('Switch this kind off');
    await vi.waitFor(() =>
      expect(server.sent['PUT /api/onair/choices']).toMatchObject({
        alerts: [{ shown: false }, { shown: true }],
      }),
    );
  });

  it('say where nothing was announced', async () => {
    await show();
    expect(screen.getByText(/Nothing yet/)).toBeDefined();
  });

  it('are announced three at most, and dismissed', async () => {
    store(OnAirStore).announced = [
      alert(1, { spotId: 7 }),
      alert(2, { shown: false }),
      alert(3),
      alert(4),
      alert(5),
    ];
    render(Announcer);
    expect(screen.getAllByRole('button', { name: 'Dismiss' })).toHaveLength(3);
    expect(screen.getAllByRole('button', { name: 'Go there' })).toHaveLength(1);
    await fireEvent.click(screen.getAllByRole('button', { name: 'Dismiss' })[0] as HTMLElement);
    expect(store(OnAirStore).announced.map((one) => one.number)).toEqual([2, 3, 4, 5]);
  });
});

describe('posting a spot', () => {
  const posting = {
    nodes: [
      { id: 1, name: 'Beacon Hill' },
      { id: 2, name: 'Quarry' },
    ],
    posted: [],
  };

  it('begins with the last contact and says who was told', async () => {
    store(LatestStore).lines = [line({ frequencyHz: 14_025_500 })];
    server.on('GET /api/onair/posting', posting);
    render(PostSpot);
    await press('Post a spot');
    await screen.findByText('Quarry');
    expect(screen.getByLabelText('Call')).toHaveProperty('value', 'ZP5QXA');
    expect(screen.getByLabelText('kHz')).toHaveProperty('value', '14025.5');
    server.on('POST /api/onair/posting', { node: 'Quarry', call: 'ZP5QXA', frequencyHz: 14_025_500 });
    await fireEvent.input(screen.getByLabelText('kHz'), { target: { value: '14 025,5' } });
    await change('Node', '2');
    await press('Tell the cluster');
    await screen.findByText('Quarry received the spot of ZP5QXA on 14 025.5 kHz.');
    expect(server.sent['POST /api/onair/posting']).toEqual({
      call: 'ZP5QXA',
      frequencyHz: 14_025_500,
      comment: '',
      feedId: 2,
    });
  });

  it('says what the check found', async () => {
    server.on('GET /api/onair/posting', posting);
    render(PostSpot);
    await press('Post a spot');
    const fields = [{ field: 'call', sentence: 'It was spotted two minutes ago.' }];
    server.on('POST /api/onair/posting', { detail: 'No.', fields }, 422);
    await fireEvent.input(screen.getByLabelText('Call'), { target: { value: 'ZP5QXA' } });
    await fireEvent.input(screen.getByLabelText('kHz'), { target: { value: '14025' } });
    await press('Tell the cluster');
    expect((await screen.findByRole('alert')).textContent).toBe('It was spotted two minutes ago.');
  });
});

describe('the lists', () => {
  const nobody = 'GET /api/onair?mark=';

  it('say why nobody is shown', async () => {
    render(SpotList);
    expect(screen.getByText(/Reading what is on the air|Nobody is heard yet/)).toBeDefined();
    store(OnAirStore).air.loading = false;
    store(OnAirStore).air.onAir = 12;
    await screen.findByText(/None of the 12 stations on the air passes the filter/);
    expect(server.requests.filter((one) => one.startsWith(nobody))).toEqual([]);
  });

  it('show what a script in a comment says and do nothing of it', async () => {
    store(OnAirStore).air.loading = false;
    store(OnAirStore).air.spots = [spot({ comment: '<img src=x onerror="alert(1)">' })];
    const { container } = render(SpotList);
    await screen.findByText('<img src=x onerror="alert(1)">');
    expect(container.querySelector('img')).toBeNull();
  });

  it('are gone through by keys', async () => {
    store(OnAirStore).air.loading = false;
    store(OnAirStore).air.spots = [spot(), spot({ id: 2, call: 'OZ1QAB', answers: true })];
    const go = vi.spyOn(store(OnAirStore), 'goTo').mockResolvedValue();
    const strike = vi.spyOn(store(OnAirStore).air, 'strike').mockResolvedValue();
    render(SpotList);
    const list = screen.getByRole('listbox');
    await fireEvent.keyDown(list, { key: 'ArrowDown' });
    await fireEvent.keyDown(list, { key: 'Enter' });
    await fireEvent.keyDown(list, { key: 'Enter', ctrlKey: true });
    expect(go.mock.calls).toEqual([[1]]);
    await fireEvent.keyDown(list, { key: 'ArrowDown' });
    await fireEvent.keyDown(list, { key: 'a' });
    await fireEvent.keyDown(list, { key: 'Enter', ctrlKey: true, repeat: true });
    expect(go.mock.calls).toEqual([[1]]);
    await fireEvent.keyDown(list, { key: 'Enter', ctrlKey: true });
    await fireEvent.keyDown(list, { key: 'x' });
    expect(go.mock.calls).toEqual([[1], [2, true]]);
    expect(strike).toHaveBeenCalledWith(2);
    await fireEvent.keyDown(list, { key: 'ArrowUp' });
    expect(store(OnAirStore).air.selected).toBe(1);
    await fireEvent.keyDown(list, { key: 'End' });
    expect(store(OnAirStore).air.selected).toBe(2);
    await fireEvent.keyDown(list, { key: 'Home' });
    expect(store(OnAirStore).air.selected).toBe(1);
    await fireEvent.keyDown(list, { key: 'PageDown' });
    expect(store(OnAirStore).air.selected).toBe(2);
  });

  it('have the best of them on the desk', async () => {
    store(OnAirStore).shortlist.loading = false;
    store(OnAirStore).shortlist.onAir = 30;
    render(Shortlist);
    await screen.findByText(/None of the 30 stations heard is needed/);
    store(OnAirStore).shortlist.spots = Array.from({ length: 12 }, (_, i) =>
      spot({ id: i + 1, call: `OZ${i}QAB` }),
    );
    await vi.waitFor(() => expect(screen.getAllByRole('option')).toHaveLength(8));
    const go = vi.spyOn(store(OnAirStore), 'goTo').mockResolvedValue();
    await fireEvent.click(screen.getAllByRole('option')[3] as HTMLElement);
    expect(go).toHaveBeenCalledWith(4);
  });
});

describe('who hears us', () => {
  const heard = (hearer: string, frequencyHz: number, km: number, automatic = true) => ({
    report: { hearer, frequencyHz, automatic, at: new Date().toISOString(), snrDb: 17 },
    entity: 'Denmark',
    km,
    latitudeDegrees: 55,
    longitudeDegrees: 10,
  });

  it('is the latest of each on each band, the farthest first', async () => {
    server.on('GET /api/onair/us', [
      heard('OZ1QAB', 14_025_000, 3_000),
      heard('OZ1QAB', 14_026_000, 3_000),
      heard('OZ1QAB', 7_010_000, 3_000),
      heard('ZL1QAB', 14_025_000, 18_000, false),
    ]);
    render(HearsUsPage);
    const rows = await screen.findAllByRole('row');
    expect(rows.map((row) => row.firstElementChild?.textContent)).toEqual([
      'Who',
      'ZL1QAB (person)',
      'OZ1QAB',
      'OZ1QAB',
    ]);
  });

  it('says that nobody does, or that it cannot know', async () => {
    server.on('GET /api/onair/us', []);
    render(HearsUsPage);
    await screen.findByText(/Nobody has reported our signal/);
    cleanup();
    server.on('GET /api/onair/us', { detail: 'The log is being restored.' }, 503);
    render(HearsUsPage);
    expect((await screen.findByRole('alert')).textContent).toBe('The log is being restored.');
  });
});
